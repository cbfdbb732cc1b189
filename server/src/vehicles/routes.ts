import type { Router } from "express";
import { routes } from "@mechanon/contract";
import { once } from "../http/idempotency";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps, Scope } from "../scope";
import { pastWorkPage } from "../workOrders/summaries";
import { historyPdf } from "./historyPdf";
import { lookUpPlate, lookUpVin } from "./lookUp";
import { linkPerson, moveVehicle, unlinkPerson } from "./people";
import { changeVehicle, createVehicle, findVehicle } from "./service";
import { vehicleSheet } from "./sheet";
import { correctSpec, elsewhereOf, recallsOf, refreshSpecs } from "./specs";
import { toVehicle } from "./toVehicle";

export function vehicleRoutes(router: Router, deps: Deps, scopeOf: ScopeOf): void {
  const { db } = deps;
  const sheet = (scope: Scope, id: string): ReturnType<typeof vehicleSheet> =>
    vehicleSheet(deps, scope, id, new Date());
  mount(router, routes.createVehicle, scopeOf, ({ scope, body, req }) =>
    once(db, scope, req, (transaction) => createVehicle(db, scope, body, transaction)),
  );
  mount(router, routes.getVehicle, scopeOf, async ({ scope, params }) =>
    toVehicle(await findVehicle(scope, params.id)),
  );
  mount(router, routes.changeVehicle, scopeOf, ({ scope, params, body }) => changeVehicle(db, scope, params.id, body));
  mount(router, routes.moveVehicle, scopeOf, ({ scope, params, body }) => moveVehicle(db, scope, params.id, body));
  mount(router, routes.linkPerson, scopeOf, ({ scope, params, body }) => linkPerson(db, scope, params.id, body));
  mount(router, routes.unlinkPerson, scopeOf, ({ scope, params }) =>
    unlinkPerson(db, scope, params.id, params.customerId),
  );
  mount(router, routes.vehicleSheet, scopeOf, ({ scope, params }) => sheet(scope, params.id));
  mount(router, routes.vehicleWork, scopeOf, async ({ scope, params, query }) => ({
    workOrders: await pastWorkPage(db, scope, "pastOfVehicle", (await findVehicle(scope, params.id)).id, query.from),
  }));
  mount(router, routes.vehiclePaper, scopeOf, async ({ scope, params, res }) => {
    const car = await sheet(scope, params.id);
    const pdf = await historyPdf(db, scope, car);
    res.type("application/pdf").set("Content-Disposition", 'inline; filename="car-history.pdf"').send(pdf);
  });
  mount(router, routes.correctSpec, scopeOf, async ({ scope, params, body }) => {
    await correctSpec(db, scope, params.id, body);
    return sheet(scope, params.id);
  });
  mount(router, routes.refreshSpecs, scopeOf, async ({ scope, params }) => {
    await refreshSpecs(deps, scope, params.id);
    return sheet(scope, params.id);
  });
  mount(router, routes.vehicleRecalls, scopeOf, ({ scope, params }) => recallsOf(deps, scope, params.id));
  mount(router, routes.vehicleElsewhere, scopeOf, ({ scope, params }) => elsewhereOf(deps, scope, params.id));
  mount(router, routes.decodeVin, scopeOf, ({ scope, params }) => lookUpVin(deps, scope, params.vin));
  mount(router, routes.lookUpPlate, scopeOf, ({ scope, params }) => lookUpPlate(deps, scope, params));
}
