import { routes } from "@mechanon/contract";
import type { Mounting } from "../http/mount";
import type { Deps, Scope } from "../scope";
import { pastWorkPage } from "../workOrders/summaries";
import { historyPdf } from "./historyPdf";
import { lookUpPlate, lookUpVin } from "./lookUp";
import { linkPerson, moveVehicle, unlinkPerson } from "./people";
import { changeVehicle, createVehicle, findVehicle } from "./service";
import { vehicleSheet } from "./sheet";
import { correctSpec, elsewhereOf, recallsOf, refreshSpecs } from "./specs";
import { toVehicle } from "./toVehicle";

export function vehicleRoutes(mounting: Mounting, deps: Deps): void {
  const { db } = deps;
  const sheet = (scope: Scope, id: string): ReturnType<typeof vehicleSheet> =>
    vehicleSheet(deps, scope, id, new Date());
  mounting.keyed(routes.createVehicle, ({ scope, body, transaction }) => createVehicle(db, scope, body, transaction));
  mounting.route(routes.getVehicle, async ({ scope, params }) => toVehicle(await findVehicle(scope, params.id)));
  mounting.route(routes.changeVehicle, ({ scope, params, body }) => changeVehicle(db, scope, params.id, body));
  mounting.route(routes.moveVehicle, ({ scope, params, body }) => moveVehicle(db, scope, params.id, body));
  mounting.route(routes.linkPerson, ({ scope, params, body }) => linkPerson(db, scope, params.id, body));
  mounting.route(routes.unlinkPerson, ({ scope, params }) => unlinkPerson(db, scope, params.id, params.customerId));
  mounting.route(routes.vehicleSheet, ({ scope, params }) => sheet(scope, params.id));
  mounting.route(routes.vehicleWork, async ({ scope, params, query }) => ({
    workOrders: await pastWorkPage(db, scope, "pastOfVehicle", (await findVehicle(scope, params.id)).id, query.from),
  }));
  mounting.route(routes.vehiclePaper, async ({ scope, params, res }) => {
    const car = await sheet(scope, params.id);
    const pdf = await historyPdf(db, scope, car);
    res.type("application/pdf").set("Content-Disposition", 'inline; filename="car-history.pdf"').send(pdf);
  });
  mounting.route(routes.correctSpec, async ({ scope, params, body }) => {
    await correctSpec(db, scope, params.id, body);
    return sheet(scope, params.id);
  });
  mounting.route(routes.refreshSpecs, async ({ scope, params }) => {
    await refreshSpecs(deps, scope, params.id);
    return sheet(scope, params.id);
  });
  mounting.route(routes.vehicleRecalls, ({ scope, params }) => recallsOf(deps, scope, params.id));
  mounting.route(routes.vehicleElsewhere, ({ scope, params }) => elsewhereOf(deps, scope, params.id));
  mounting.route(routes.decodeVin, ({ scope, params }) => lookUpVin(deps, scope, params.vin));
  mounting.route(routes.lookUpPlate, ({ scope, params }) => lookUpPlate(deps, scope, params));
}
