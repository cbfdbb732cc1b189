import type { Router } from "express";
import { routes } from "@mechanon/contract";
import { requireRight } from "../access/requireRight";
import { once } from "../http/idempotency";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { pastWorkPage } from "../workOrders/summaries";
import { lookUpPhone } from "./directory";
import { eraseCustomer } from "./erase";
import { everythingAbout } from "./everything";
import { likelyCustomers } from "./likely";
import { mergeCustomers, undoMerge } from "./merge";
import { lookUpPostcode } from "./postcodes";
import { changeCustomer, createCustomer, findCustomer } from "./service";
import { customerSheet } from "./sheet";

export function customerRoutes(router: Router, deps: Deps, scopeOf: ScopeOf): void {
  const { db, outside } = deps;
  mount(router, routes.createCustomer, scopeOf, ({ scope, body, req }) =>
    once(db, scope, req, (transaction) => createCustomer(db, scope, body, transaction)),
  );
  mount(router, routes.likelyCustomers, scopeOf, async ({ scope, body }) => ({
    likely: await likelyCustomers(db, scope, body),
  }));
  mount(router, routes.getCustomer, scopeOf, ({ scope, params }) => customerSheet(db, scope, params.id));
  mount(router, routes.customerWork, scopeOf, async ({ scope, params, query }) => ({
    workOrders: await pastWorkPage(db, scope, "pastOfCustomer", (await findCustomer(scope, params.id)).id, query.from),
  }));
  mount(router, routes.changeCustomer, scopeOf, ({ scope, params, body }) =>
    changeCustomer(db, scope, params.id, body),
  );
  mount(router, routes.mergeCustomers, scopeOf, ({ scope, params, body, req }) =>
    once(db, scope, req, (transaction) => mergeCustomers(db, scope, params.id, body.mergedId, transaction)),
  );
  mount(router, routes.undoMerge, scopeOf, ({ scope, params }) => undoMerge(db, scope, params.id, new Date()));
  mount(router, routes.exportCustomer, scopeOf, async ({ scope, params, res }) => {
    requireRight(scope, "settings");
    res.attachment(`customer-${params.id}.json`).json(await everythingAbout(deps, scope, params.id));
  });
  mount(router, routes.eraseCustomer, scopeOf, ({ scope, params, body }) => {
    requireRight(scope, "settings");
    return eraseCustomer(db, scope, params.id, body.version);
  });
  mount(router, routes.lookUpPhone, scopeOf, async ({ params }) => ({
    entry: await lookUpPhone(outside, params.phone),
  }));
  mount(router, routes.lookUpPostcode, scopeOf, async ({ params }) => ({
    towns: await lookUpPostcode(outside, params.postcode),
  }));
}
