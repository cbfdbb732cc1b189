import type { Router } from "express";
import { routes } from "@mechanon/contract";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { askSupplier } from "./askSupplier";
import { orderParts } from "./orderParts";

export function sourcingRoutes(router: Router, deps: Deps, scopeOf: ScopeOf): void {
  mount(router, routes.askSupplier, scopeOf, ({ scope, params, query }) =>
    askSupplier(deps, scope, params.id, query.supplierId ?? null),
  );
  mount(router, routes.orderParts, scopeOf, async ({ scope, params, body }) => ({
    workOrder: await orderParts(deps, scope, params.id, { ...body, supplierId: body.supplierId ?? null }),
  }));
}
