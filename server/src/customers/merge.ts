import { mergedDetails } from "@mechanon/core";
import { DateTime } from "luxon";
import { v7 as uuid } from "uuid";
import type { Sequelize, Transaction } from "sequelize";
import { CustomerMerge, CustomerRow } from "./model";
import { VehicleRow } from "../vehicles/model";
import { WorkOrderRow } from "../workOrders/model";
import { notifyChange } from "../events/notify";
import { AppError } from "../errors/appError";
import type { Scope } from "../scope";
import { indexCustomers } from "../search/indexCustomers";
import { mergeDrives, partDrives } from "./mergeDrives";
import { findCustomer } from "./service";

const UNDO_DAYS = 30;

/** Up to when two merged records can be parted again. */
export function undoUntil(mergedAt: Date): Date {
  return DateTime.fromJSDate(mergedAt).plus({ days: UNDO_DAYS }).toJSDate();
}

/**
 * Makes one record part of another: cars, work and all that is known move to the kept one.
 * @throws {AppError} `customer/merge-with-itself`, `customer/erased`.
 */
export async function mergeCustomers(
  db: Sequelize,
  scope: Scope,
  askedId: string,
  askedMergedId: string,
  transaction: Transaction,
): Promise<{ mergeId: string; undoUntil: string }> {
  const { businessId, actor } = scope;
  const keptId = (await findCustomer(scope, askedId, transaction)).id;
  const mergedId = (await findCustomer(scope, askedMergedId, transaction)).id;
  if (keptId === mergedId)
    throw new AppError(
      "customer/merge-with-itself",
      "These two are one record already. Nothing was changed; pick another customer to merge.",
    );
  const { kept, merged } = await lockBoth(businessId, keptId, mergedId, transaction);
  if (kept.erasedAt || merged.erasedAt)
    throw new AppError("customer/erased", "One of the two was erased, so nothing was merged.");
  const vehicleIds = await moveVehicles(businessId, { customerId: mergedId }, keptId, transaction);
  const workOrderIds = await moveWorkOrders(db, businessId, { customerId: mergedId }, keptId, transaction);
  const drivesBefore = await mergeDrives(businessId, keptId, mergedId, transaction);
  const { kind, name, details, version } = kept;
  await kept.update({ details: mergedDetails(details, merged.details), version: version + 1 }, { transaction });
  await merged.update({ mergedInto: keptId, version: merged.version + 1 }, { transaction });
  const mergedAt = new Date();
  const id = uuid();
  await CustomerMerge.create(
    {
      businessId,
      id,
      keptId,
      mergedId,
      mergedBy: actor.id,
      mergedAt,
      vehicleIds,
      workOrderIds,
      keptBefore: { kind, name, details },
      keptVersion: version + 1,
      drivesBefore,
    },
    { transaction },
  );
  await indexCustomers(db, businessId, [keptId, mergedId], transaction);
  return { mergeId: id, undoUntil: undoUntil(mergedAt).toISOString() };
}

/**
 * Parts two records again: what moved goes back, and the kept one knows what it knew before, unless somebody changed it
 * since; then it keeps what it knows now.
 * @throws {AppError} `merge/not-found`, `merge/undone`, `merge/too-late`.
 */
export async function undoMerge(
  db: Sequelize,
  scope: Scope,
  id: string,
  now: Date,
): Promise<{ keptId: string; mergedId: string; detailsRestored: boolean }> {
  const { businessId } = scope;
  return db.transaction(async (transaction) => {
    const merge = await CustomerMerge.findOne({
      where: { businessId, id },
      lock: transaction.LOCK.UPDATE,
      transaction,
    });
    if (!merge) throw new AppError("merge/not-found", "There is no such merge to undo.");
    if (merge.undoneAt) throw new AppError("merge/undone", "This merge was undone already. Nothing was changed.");
    if (undoUntil(merge.mergedAt) < now)
      throw new AppError("merge/too-late", `A merge can be undone for ${UNDO_DAYS} days; these are over.`);
    const { keptId, mergedId } = merge;
    const { kept, merged } = await lockBoth(businessId, keptId, mergedId, transaction);
    if (kept.erasedAt)
      throw new AppError("customer/erased", "The customer was erased since, so nothing can be parted.");
    await moveVehicles(businessId, { customerId: keptId, id: merge.vehicleIds }, mergedId, transaction);
    await moveWorkOrders(db, businessId, { customerId: keptId, id: merge.workOrderIds }, mergedId, transaction);
    await partDrives(businessId, keptId, merge.drivesBefore, transaction);
    const detailsRestored = kept.version === merge.keptVersion;
    await kept.update({ ...(detailsRestored ? merge.keptBefore : {}), version: kept.version + 1 }, { transaction });
    await merged.update({ mergedInto: null, version: merged.version + 1 }, { transaction });
    await merge.update({ undoneAt: now }, { transaction });
    await indexCustomers(db, businessId, [keptId, mergedId], transaction);
    return { keptId, mergedId, detailsRestored };
  });
}

/** Locks two customers in one order, so that two merges at once take turns. */
async function lockBoth(
  businessId: string,
  keptId: string,
  mergedId: string,
  transaction: Transaction,
): Promise<{ kept: CustomerRow; merged: CustomerRow }> {
  const rows = await CustomerRow.findAll({
    where: { businessId, id: [keptId, mergedId] },
    order: ["id"],
    lock: transaction.LOCK.UPDATE,
    transaction,
  });
  const kept = rows.find(({ id }) => id === keptId);
  const merged = rows.find(({ id }) => id === mergedId);
  if (!kept || !merged)
    throw new AppError("customer/not-found", "One of the two is not kept here. Nothing was changed.");
  return { kept, merged };
}

interface Moved {
  customerId: string;
  id?: string[];
}

async function moveVehicles(
  businessId: string,
  which: Moved,
  customerId: string,
  transaction: Transaction,
): Promise<string[]> {
  const rows = await VehicleRow.findAll({ attributes: ["id"], where: { businessId, ...which }, transaction });
  const ids = rows.map(({ id }) => id);
  await VehicleRow.update({ customerId }, { where: { businessId, id: ids }, transaction });
  return ids;
}

async function moveWorkOrders(
  db: Sequelize,
  businessId: string,
  which: Moved,
  customerId: string,
  transaction: Transaction,
): Promise<string[]> {
  const rows = await WorkOrderRow.findAll({
    where: { businessId, ...which },
    order: ["id"],
    lock: transaction.LOCK.UPDATE,
    transaction,
  });
  for (const row of rows) {
    const revision = row.revision + 1;
    await row.update({ customerId, state: { ...row.state, customerId }, revision }, { transaction });
    await notifyChange(db, businessId, { kind: "workOrder", id: row.id, revision }, transaction);
  }
  return rows.map(({ id }) => id);
}
