import { routes } from "@mechanon/contract";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { askSupplier } from "./askSupplier";
import { orderParts } from "./orderParts";
import { takeOffers } from "./takeOffers";
import { usedParts } from "./usedParts";

export function sourcingRoutes(mounting: Mounting, deps: Deps): void {
  mounting.route(routes.askSupplier, ({ scope, params, query }) =>
    askSupplier(deps, scope, params.id, query.supplierId ?? null),
  );
  mounting.route(routes.usedParts, async ({ scope, query }) => ({
    parts: await usedParts(deps.db, scope, query.words),
  }));
  mounting.route(routes.takeOffers, ({ scope, params, body }) =>
    takeOffers(deps, scope, params.id, { ...body, supplierId: body.supplierId ?? null }),
  );
  mounting.route(routes.orderParts, async ({ scope, params, body }) => ({
    workOrder: await orderParts(deps, scope, params.id, { ...body, supplierId: body.supplierId ?? null }),
  }));
}
