import { routes } from "@mechanon/contract";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { askSupplier } from "./askSupplier";
import { orderParts } from "./orderParts";

export function sourcingRoutes(mounting: Mounting, deps: Deps): void {
  mounting.route(routes.askSupplier, ({ scope, params, query }) =>
    askSupplier(deps, scope, params.id, query.supplierId ?? null),
  );
  mounting.route(routes.orderParts, async ({ scope, params, body }) => ({
    workOrder: await orderParts(deps, scope, params.id, { ...body, supplierId: body.supplierId ?? null }),
  }));
}
