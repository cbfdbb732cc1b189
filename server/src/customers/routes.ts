import type { Router } from "express";
import { routes } from "@mechanon/contract";
import { once } from "../http/idempotency";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { changeCustomer, createCustomer, customerSheet } from "./service";

export function customerRoutes(router: Router, { db }: Deps, scopeOf: ScopeOf): void {
  mount(router, routes.createCustomer, scopeOf, ({ scope, body, req }) =>
    once(db, scope, req, (transaction) => createCustomer(scope, body, transaction)),
  );
  mount(router, routes.getCustomer, scopeOf, ({ scope, params }) => customerSheet(scope, params.id));
  mount(router, routes.changeCustomer, scopeOf, ({ scope, params, body }) => changeCustomer(scope, params.id, body));
}
