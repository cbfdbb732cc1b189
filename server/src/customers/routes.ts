import { routes } from "@mechanon/contract";
import type { Mounting } from "../http/mount";
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

export function customerRoutes(mounting: Mounting, deps: Deps): void {
  const { db, outside } = deps;
  mounting.keyed(routes.createCustomer, ({ scope, body, transaction }) => createCustomer(db, scope, body, transaction));
  mounting.route(routes.likelyCustomers, async ({ scope, body }) => ({
    likely: await likelyCustomers(db, scope, body),
  }));
  mounting.route(routes.getCustomer, ({ scope, params }) => customerSheet(db, scope, params.id));
  mounting.route(routes.customerWork, async ({ scope, params, query }) => ({
    workOrders: await pastWorkPage(db, scope, "pastOfCustomer", (await findCustomer(scope, params.id)).id, query.from),
  }));
  mounting.route(routes.changeCustomer, ({ scope, params, body }) => changeCustomer(db, scope, params.id, body));
  mounting.keyed(routes.mergeCustomers, ({ scope, params, body, transaction }) =>
    mergeCustomers(db, scope, params.id, body.mergedId, transaction),
  );
  mounting.route(routes.undoMerge, ({ scope, params }) => undoMerge(db, scope, params.id, new Date()));
  mounting.route(routes.exportCustomer, async ({ scope, params, res }) => {
    res.attachment(`customer-${params.id}.json`).json(await everythingAbout(deps, scope, params.id));
  });
  mounting.route(routes.eraseCustomer, ({ scope, params, body }) => {
    return eraseCustomer(db, scope, params.id, body.version);
  });
  mounting.route(routes.lookUpPhone, async ({ params }) => ({
    entry: await lookUpPhone(outside, params.phone),
  }));
  mounting.route(routes.lookUpPostcode, async ({ params }) => ({
    towns: await lookUpPostcode(outside, params.postcode),
  }));
}
