import { ERASED, noDetails, visitWithoutPerson, workOrderWithoutPerson, photoIdsOf } from "@mechanon/core";
import { Op, QueryTypes, type Sequelize, type Transaction } from "sequelize";
import { CustomerMerge, CustomerRow } from "./model";
import { Message } from "../messages/model";
import { VehicleMove, VehiclePersonRow, VehicleRow } from "../vehicles/model";
import { VisitRow, VisitWorkOrder } from "../visits/model";
import { WorkOrderRow } from "../workOrders/model";
import { AppError } from "../errors/appError";
import { forgetPhotos } from "../photos/photos";
import type { Scope } from "../scope";
import { indexCustomers } from "../search/indexCustomers";
import { findCustomer } from "./service";

interface Erased {
  billsKept: number;
  carsRemoved: number;
  photosRemoved: number;
}

/**
 * Takes away all that tells who a customer was. Bills have to be kept by law: what was done, for how much, on which
 * make and model, in which town; the person is no longer in them.
 *
 * @throws {AppError} `customer/work-open` while something is open or owed, `version/changed`.
 */
export async function eraseCustomer(db: Sequelize, scope: Scope, askedId: string, version: number): Promise<Erased> {
  const { businessId } = scope;
  return db.transaction(async (transaction) => {
    const customer = await findCustomer(scope, askedId, transaction);
    if (customer.erasedAt) throw new AppError("customer/erased", "This customer was erased already.");
    if (customer.version !== version)
      throw new AppError(
        "version/changed",
        "Somebody else changed this customer meanwhile. Nothing was erased; look again.",
      );
    // Records that became part of this one hold the same person.
    const parts = await CustomerRow.findAll({ where: { businessId, mergedInto: customer.id }, transaction });
    const customerIds = [customer.id, ...parts.map(({ id }) => id)];
    const orders = await WorkOrderRow.findAll({
      where: { businessId, customerId: customerIds },
      order: ["id"],
      lock: transaction.LOCK.UPDATE,
      transaction,
    });
    if (orders.some(({ waitsFor, dueCents }) => waitsFor !== null || dueCents > 0))
      throw new AppError(
        "customer/work-open",
        "There is open work or money owed. Nothing was erased; finish or settle it first.",
      );
    const orderIds = orders.map(({ id }) => id);
    await eraseFromAgreed(db, businessId, orderIds, transaction);
    const photosRemoved = await eraseWork(db, businessId, orders, transaction);
    await eraseVisits(db, businessId, orderIds, transaction);
    await eraseTraces(db, businessId, [...orderIds, ...customerIds], transaction);
    await eraseAsked(db, businessId, orderIds, customerIds, transaction);
    const carsRemoved = await eraseCars(db, businessId, customerIds, orders, transaction);
    const erasedAt = new Date();
    await CustomerMerge.destroy({
      where: { businessId, [Op.or]: [{ keptId: customerIds }, { mergedId: customerIds }] },
      transaction,
    });
    for (const row of [customer, ...parts])
      await row.update({ name: ERASED, details: noDetails(), erasedAt, version: row.version + 1 }, { transaction });
    await indexCustomers(db, businessId, customerIds, transaction);
    await forgetWords(db, businessId, transaction);
    return { billsKept: orders.length, carsRemoved, photosRemoved };
  });
}

async function eraseWork(
  db: Sequelize,
  businessId: string,
  orders: WorkOrderRow[],
  transaction: Transaction,
): Promise<number> {
  const photoIds = orders.flatMap(({ state }) => photoIdsOf(state));
  for (const order of orders) {
    const state = workOrderWithoutPerson(order.state);
    const concerns = state.concerns.map(({ text }) => text);
    await order.update({ state, concerns, revision: order.revision + 1 }, { transaction });
  }
  return forgetPhotos(db, businessId, photoIds, transaction);
}

/** What was agreed stays with its place in the chain; who agreed goes, and the salts they could be found out by. */
async function eraseFromAgreed(
  db: Sequelize,
  businessId: string,
  orderIds: string[],
  transaction: Transaction,
): Promise<void> {
  await db.query(
    `update agreed_copies set person = null, photos = null, salts = salts || '{"person": null, "photos": null}'
     where business_id = $1 and work_order_id = any($2)`,
    { bind: [businessId, orderIds], transaction },
  );
}

async function eraseVisits(
  db: Sequelize,
  businessId: string,
  orderIds: string[],
  transaction: Transaction,
): Promise<void> {
  const links = await VisitWorkOrder.findAll({ where: { businessId, workOrderId: orderIds }, transaction });
  const visits = await VisitRow.findAll({
    where: { businessId, id: links.map(({ visitId }) => visitId) },
    transaction,
  });
  for (const visit of visits)
    await visit.update({ state: visitWithoutPerson(visit.state), revision: visit.revision + 1 }, { transaction });
  const visitIds = visits.map(({ id }) => id);
  await scrubHistory(db, businessId, [...orderIds, ...visitIds], transaction);
  for (const sql of [
    "delete from directory.move_links where business_id = $1 and ask_id in (select id from move_asks where business_id = $1 and visit_id = any($2))",
    "delete from move_asks where business_id = $1 and visit_id = any($2)",
    "delete from held_times where business_id = $1 and held_for = any($2)",
  ])
    await db.query(sql, { bind: [businessId, visitIds], transaction });
}

/** That something was done stays in the history, old and new; what was said in it goes. */
async function scrubHistory(
  db: Sequelize,
  businessId: string,
  aggregateIds: string[],
  transaction: Transaction,
): Promise<void> {
  for (const table of ["history", "commands"])
    await db.query(
      `update ${table} set body = jsonb_build_object('type', body->'type', 'erased', true) where business_id = $1 and aggregate_id = any($2)`,
      { bind: [businessId, aggregateIds], transaction },
    );
}

/** What they asked for, wrote and sent on pages of their own, and the links to those. */
async function eraseAsked(
  db: Sequelize,
  businessId: string,
  orderIds: string[],
  customerIds: string[],
  transaction: Transaction,
): Promise<void> {
  const theirs = `(select id from requests where business_id = $1 and (customer_id = any($3) or work_order_id = any($2)))`;
  const bind = [businessId, orderIds, customerIds];
  const photos = await db.query<{ id: string }>(
    `select photo_id as id from customer_photos where business_id = $1 and (work_order_id = any($2) or request_id in ${theirs})`,
    { bind, type: QueryTypes.SELECT, transaction },
  );
  await forgetPhotos(
    db,
    businessId,
    photos.map(({ id }) => id),
    transaction,
  );
  for (const sql of [
    `delete from customer_photos where business_id = $1 and (work_order_id = any($2) or request_id in ${theirs})`,
    `delete from messages where business_id = $1 and (customer_id = any($3) or work_order_id = any($2) or request_id in ${theirs})`,
    `delete from directory.page_links where business_id = $1
       and (customer_id = any($3) or work_order_id = any($2) or request_id in ${theirs})`,
    "delete from customer_codes where business_id = $1 and customer_id = any($3) and $2::uuid[] is not null",
    `delete from requests where business_id = $1 and (customer_id = any($3) or work_order_id = any($2))`,
  ])
    await db.query(sql, { bind, transaction });
}

/** Messages, links to receipts, files, and kept answers in which the person stands. */
async function eraseTraces(db: Sequelize, businessId: string, ids: string[], transaction: Transaction): Promise<void> {
  await Message.destroy({ where: { businessId, workOrderId: ids }, transaction });
  await db.query("delete from directory.receipt_links where business_id = $1 and work_order_id = any($2)", {
    bind: [businessId, ids],
    transaction,
  });
  await db.query(
    "update imports set bytes = '', columns = '[]' where business_id = $1 and id in (select import_id from import_rows where business_id = $1 and customer_id = any($2))",
    { bind: [businessId, ids], transaction },
  );
  await db.query(
    "update import_rows set cells = '[]', name = '', remarks = '{}', before = null where business_id = $1 and customer_id = any($2)",
    { bind: [businessId, ids], transaction },
  );
  await db.query(
    "delete from idempotency_keys where business_id = $1 and (answer->>'id' = any($2) or answer->>'customerId' = any($2))",
    { bind: [businessId, ids], transaction },
  );
}

/** Cars that are on a bill stay by make and model; a plate or VIN leads to their owner. */
async function eraseCars(
  db: Sequelize,
  businessId: string,
  customerIds: string[],
  orders: WorkOrderRow[],
  transaction: Transaction,
): Promise<number> {
  const theirs = { businessId, customerId: customerIds };
  const cars = await VehicleRow.findAll({ attributes: ["photoId"], where: theirs, transaction });
  const photoIds = cars.flatMap(({ photoId }) => photoId ?? []);
  await forgetPhotos(db, businessId, photoIds, transaction);
  await VehiclePersonRow.destroy({ where: theirs, transaction });
  await VehicleMove.destroy({
    where: { businessId, [Op.or]: [{ fromCustomerId: customerIds }, { toCustomerId: customerIds }] },
    transaction,
  });
  const billed = [...new Set(orders.flatMap(({ vehicleId }) => vehicleId ?? []))];
  await VehicleRow.update(
    {
      vin: null,
      vinNote: null,
      plate: null,
      plateKey: null,
      region: null,
      color: null,
      unitNumber: null,
      nickname: null,
      photoId: null,
      corrections: [],
    },
    { where: { businessId, id: billed }, transaction },
  );
  return VehicleRow.destroy({
    where: { businessId, customerId: customerIds, id: { [Op.notIn]: billed } },
    transaction,
  });
}

/** Words nobody is found by any more: a rare name would tell that its owner was here. */
async function forgetWords(db: Sequelize, businessId: string, transaction: Transaction): Promise<void> {
  await db.query(
    `delete from search_words where business_id = $1 and not exists (
       select from customer_words where customer_words.business_id = $1 and customer_words.word = search_words.word)`,
    { bind: [businessId], transaction },
  );
}
