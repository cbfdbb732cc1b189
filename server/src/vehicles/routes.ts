import type { Router } from "express";
import { routes } from "@mechanon/contract";
import { once } from "../http/idempotency";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { createVehicle, findVehicle, lookUpPlate, lookUpVin } from "./service";
import { toVehicle } from "./toVehicle";

export function vehicleRoutes(router: Router, deps: Deps, scopeOf: ScopeOf): void {
  mount(router, routes.createVehicle, scopeOf, ({ scope, body, req }) =>
    once(deps.db, scope, req, (transaction) => createVehicle(deps.db, scope, body, transaction)),
  );
  mount(router, routes.getVehicle, scopeOf, async ({ scope, params }) =>
    toVehicle(await findVehicle(scope, params.id)),
  );
  mount(router, routes.decodeVin, scopeOf, ({ scope, params }) => lookUpVin(deps, scope, params.vin));
  mount(router, routes.lookUpPlate, scopeOf, ({ scope, params }) => lookUpPlate(deps, scope, params));
}
