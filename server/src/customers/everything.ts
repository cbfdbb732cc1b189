import { redactWorkOrder, photoIdsOf } from "@mechanon/core";
import { Op, type Sequelize } from "sequelize";
import { CustomerMerge } from "./model";
import { Message } from "../messages/model";
import { VehiclePersonRow, VehicleRow } from "../vehicles/model";
import { WorkOrderRow } from "../workOrders/model";
import { askPrepared } from "../db/askPrepared";
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
    ...orders.flatMap(({ state }) => photoIdsOf(state)),
    ...vehicles.flatMap(({ photoId }) => photoId ?? []),
  ];
  const [visits, messages, photos] = await Promise.all([
    visitsServing(deps.db, businessId, orderIds),
    Message.findAll({
      where: { businessId, [Op.or]: [{ workOrderId: orderIds }, { customerId: customer.id }] },
      order: ["createdAt"],
    }),
    findPhotos(deps, businessId, [...photoIds, ...(await photosSent(deps.db, businessId, orderIds))]),
  ]);
  const asked = await askedBy(deps.db, businessId, customer.id);
  return {
    exportedAt: new Date().toISOString(),
    business: scope.businessName,
    customer: toCustomer(customer),
    cars: vehicles.map((car) => ({ ...toVehicle(car), corrections: car.corrections })),
    drives: driven.map(({ vehicleId, role }) => ({ vehicleId, role })),
    workOrders: orders.map(({ number, state }) => ({ number, ...redactWorkOrder(state, { rights: [] }) })),
    visits,
    requests: asked,
    messages: messages.map(({ recipient, text, status, isIncoming, createdAt }) => ({
      ...{ recipient, text, status, isIncoming, at: createdAt },
    })),
    photos: photos.map(({ id, type, bytes }) => ({ id, type, base64: bytes.toString("base64") })),
    mergedRecords: merges.map(({ mergedId, mergedAt }) => ({ id: mergedId, mergedAt })),
  };
}

/** Visits they asked for by themselves. */
async function askedBy(db: Sequelize, businessId: string, customerId: string): Promise<object[]> {
  return askPrepared(
    db,
    `select asked, status, words, iso(created_at) as at from requests
     where business_id = $1 and kept_customer(business_id, customer_id) = $2 order by created_at`,
    [businessId, customerId],
  );
}

/** Photos they sent to work of theirs, or with the request it began with. */
async function photosSent(db: Sequelize, businessId: string, orderIds: readonly string[]): Promise<string[]> {
  const rows = await askPrepared<{ id: string }>(
    db,
    `select photo_id as id from customer_photos where business_id = $1 and (work_order_id = any($2::uuid[]) or request_id in
       (select id from requests where business_id = $1 and work_order_id = any($2::uuid[]))) order by arrived_at`,
    [businessId, orderIds],
  );
  return rows.map(({ id }) => id);
}
