import { redactWorkOrder } from "@mechanon/core";
import { CustomerMerge } from "./model";
import { Message } from "../messages/model";
import { VehiclePersonRow, VehicleRow } from "../vehicles/model";
import { WorkOrderRow } from "../workOrders/model";
import { findPhotos } from "../photos/photos";
import type { Deps, Scope } from "../scope";
import { toVehicle } from "../vehicles/toVehicle";
import { visitsServing } from "../visits/queries";
import { findCustomer } from "./service";
import { toCustomer } from "./toCustomer";

/** All that is known about one customer, for the customer: nothing of the business's own costs. */
export async function everythingAbout(
  deps: Pick<Deps, "db" | "photos">,
  scope: Scope,
  askedId: string,
): Promise<object> {
  const { businessId } = scope;
  const customer = await findCustomer(scope, askedId);
  const where = { businessId, customerId: customer.id };
  const [vehicles, orders, merges, driven] = await Promise.all([
    VehicleRow.findAll({ where, order: ["id"] }),
    WorkOrderRow.findAll({ where, order: ["number"] }),
    CustomerMerge.findAll({ where: { businessId, keptId: customer.id, undoneAt: null }, order: ["mergedAt"] }),
    VehiclePersonRow.findAll({ where }),
  ]);
  const orderIds = orders.map(({ id }) => id);
  const photoIds = [
    ...orders.flatMap(({ state }) => state.findings.flatMap((finding) => finding.photoIds)),
    ...vehicles.flatMap(({ photoId }) => photoId ?? []),
  ];
  const [visits, messages, photos] = await Promise.all([
    visitsServing(deps.db, businessId, orderIds),
    Message.findAll({ where: { businessId, workOrderId: orderIds }, order: ["createdAt"] }),
    findPhotos(deps, businessId, photoIds),
  ]);
  return {
    exportedAt: new Date().toISOString(),
    business: scope.businessName,
    customer: toCustomer(customer),
    cars: vehicles.map((car) => ({ ...toVehicle(car), corrections: car.corrections })),
    drives: driven.map(({ vehicleId, role }) => ({ vehicleId, role })),
    workOrders: orders.map(({ number, state }) => ({ number, ...redactWorkOrder(state, { rights: [] }) })),
    visits,
    messages: messages.map(({ recipient, text, status, createdAt }) => ({ recipient, text, status, at: createdAt })),
    photos: photos.map(({ id, type, bytes }) => ({ id, type, base64: bytes.toString("base64") })),
    mergedRecords: merges.map(({ mergedId, mergedAt }) => ({ id: mergedId, mergedAt })),
  };
}
