import { Op, QueryTypes, type Sequelize, type Transaction } from "sequelize";
import { CustomerRow, ImportRow, VehicleRow, type ImportFile } from "../db/models";
import { indexCustomers } from "../search/indexCustomers";

const BATCH = 200;

/**
 * Takes out what an import brought in, the last row first: cars, what it filled, customers. Whoever was worked with or
 * changed since stays, and is counted.
 */
export async function undoRows(db: Sequelize, file: ImportFile): Promise<void> {
  const { businessId, id: importId } = file;
  for (;;) {
    const rows = await ImportRow.findAll({
      where: { businessId, importId, applied: true },
      order: [["row", "DESC"]],
      limit: BATCH,
    });
    if (rows.length === 0) break;
    await db.transaction((transaction) => undoBatch(db, businessId, rows, transaction));
    await file.update({ doneCount: rows.at(-1)?.row ?? 0 });
    await new Promise((resolve) => setImmediate(resolve));
  }
  const [kept] = await db.query<{ count: number }>(
    `select count(distinct customers.id)::int as count from import_rows
     join customers on customers.business_id = $1 and customers.id = import_rows.customer_id
     where import_rows.business_id = $1 and import_id = $2 and outcome in ('new', 'fills', 'joins') and remarks @> array['kept']`,
    { bind: [businessId, importId], type: QueryTypes.SELECT },
  );
  await file.update({ status: "undone", doneCount: file.rowCount, keptByUndo: kept?.count ?? 0 });
}

async function undoBatch(
  db: Sequelize,
  businessId: string,
  rows: readonly ImportRow[],
  transaction: Transaction,
): Promise<void> {
  const carIds = rows.flatMap(({ vehicleId }) => vehicleId ?? []);
  const worked = await usedIds(db, businessId, "vehicle_id", carIds, transaction);
  await VehicleRow.destroy({
    where: { businessId, id: carIds.filter((id) => !worked.has(id)), version: 1 },
    transaction,
  });
  const changed: string[] = [];
  for (const row of rows.filter(({ before, customerId }) => before !== null && customerId !== null)) {
    const customer = await CustomerRow.findOne({
      where: { businessId, id: row.customerId ?? "", mergedInto: null, erasedAt: null },
      transaction,
    });
    // Undone from the last row on, each version is the one this row left, unless somebody changed it since.
    if (customer && customer.version === row.versionAfter && row.before) {
      await customer.update({ details: row.before, version: customer.version - 1 }, { transaction });
      changed.push(customer.id);
    } else await row.update({ remarks: [...row.remarks, "kept"] }, { transaction });
  }
  const made = rows.filter(({ outcome }) => outcome === "new");
  const gone = await removable(
    db,
    businessId,
    made.flatMap(({ customerId }) => customerId ?? []),
    transaction,
  );
  for (const row of made)
    if (row.customerId !== null && !gone.has(row.customerId))
      await row.update({ remarks: [...row.remarks, "kept"] }, { transaction });
  await CustomerRow.destroy({ where: { businessId, id: [...gone] }, transaction });
  await indexCustomers(
    db,
    businessId,
    changed.filter((id) => !gone.has(id)),
    transaction,
  );
  await ImportRow.update(
    { applied: false },
    { where: { businessId, importId: rows[0]?.importId, row: rows.map(({ row }) => row) }, transaction },
  );
}

/** Of customers an import made, those nothing hangs on and nobody changed. */
async function removable(
  db: Sequelize,
  businessId: string,
  ids: string[],
  transaction: Transaction,
): Promise<Set<string>> {
  const untouched = await CustomerRow.findAll({
    attributes: ["id"],
    where: { businessId, id: ids, version: 1, mergedInto: null, erasedAt: null },
    transaction,
  });
  const withWork = await usedIds(db, businessId, "customer_id", ids, transaction);
  const withCars = await VehicleRow.findAll({
    attributes: ["customerId"],
    where: { businessId, customerId: ids },
    transaction,
  });
  const merged = await CustomerRow.findAll({
    attributes: ["mergedInto"],
    where: { businessId, mergedInto: { [Op.in]: ids } },
    transaction,
  });
  const held = new Set([
    ...withWork,
    ...withCars.map(({ customerId }) => customerId),
    ...merged.flatMap(({ mergedInto }) => mergedInto ?? []),
  ]);
  return new Set(untouched.map(({ id }) => id).filter((id) => !held.has(id)));
}

/** Which of these a work order is for. */
async function usedIds(
  db: Sequelize,
  businessId: string,
  column: "vehicle_id" | "customer_id",
  ids: string[],
  transaction: Transaction,
): Promise<Set<string>> {
  const rows = await db.query<{ id: string }>(
    `select distinct ${column} as id from work_orders where business_id = $1 and ${column} = any($2::uuid[])`,
    { bind: [businessId, ids], type: QueryTypes.SELECT, transaction },
  );
  return new Set(rows.map(({ id }) => id));
}
