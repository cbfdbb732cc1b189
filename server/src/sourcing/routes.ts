import type { Router } from "express";
import { routes } from "@mechanon/contract";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { askSupplier, orderParts } from "./service";

export function sourcingRoutes(router: Router, deps: Deps, scopeOf: ScopeOf): void {
  mount(router, routes.askSupplier, scopeOf, ({ scope, params }) => askSupplier(deps, scope, params.id));
  mount(router, routes.orderParts, scopeOf, async ({ scope, params, body }) => ({
    workOrder: await orderParts(deps, scope, params.id, body),
  }));
}
