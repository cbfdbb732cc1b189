import { Op, QueryTypes, type Sequelize, type Transaction } from "sequelize";
import { CustomerRow } from "../customers/model";
import { ImportRow, type ImportFile } from "./model";
import { VehicleRow } from "../vehicles/model";
import { indexCustomers } from "../search/indexCustomers";

const BATCH = 200;

/**
 * Takes out what an import brought in, the last row first: cars, what it filled, customers. Whoever was worked with or
 * changed since stays, and is counted.
 */
export async function undoRows(db: Sequelize, file: ImportFile): Promise<void> {
  const { businessId, id: importId } = file;
  // From where the last batch ended: looking from the end each time would read all that is undone again.
  let last = file.rowCount + 1;
  for (;;) {
    const rows = await ImportRow.findAll({
      where: { businessId, importId, applied: true, row: { [Op.lt]: last } },
      order: [["row", "DESC"]],
      limit: BATCH,
      raw: true,
    });
    if (rows.length === 0) break;
    last = rows.at(-1)?.row ?? 0;
    await db.transaction((transaction) => undoBatch(db, businessId, rows, transaction));
    await file.update({ doneCount: last });
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
  const importId = rows[0]?.importId ?? "";
  const worked = new Set([
    ...(await usedIds(db, businessId, "vehicle_id", carIds, transaction)),
    ...(await otherImports(businessId, importId, "vehicleId", carIds, true, transaction)),
  ]);
  await VehicleRow.destroy({
    where: { businessId, id: carIds.filter((id) => !worked.has(id)), version: 1 },
    transaction,
  });
  const kept = new Set<number>();
  const changed = await restoreFilled(db, businessId, rows, kept, transaction);
  const made = rows.filter(({ outcome }) => outcome === "new");
  // Whom an import made that is undone already, and who stayed because of this one.
  const others = rows.flatMap(({ outcome, customerId }) => (outcome === "new" ? [] : (customerId ?? [])));
  const left = await otherImports(businessId, importId, "customerId", others, false, transaction, "new");
  const candidates = [...made.flatMap(({ customerId }) => customerId ?? []), ...left];
  const needed = await otherImports(businessId, importId, "customerId", candidates, true, transaction);
  const gone = await removable(
    db,
    businessId,
    candidates.filter((id) => !needed.has(id)),
    transaction,
  );
  for (const { row, customerId } of made) if (customerId !== null && !gone.has(customerId)) kept.add(row);
  await CustomerRow.destroy({ where: { businessId, id: [...gone] }, transaction });
  await indexCustomers(db, businessId, [...changed, ...gone], transaction);
  await db.query(
    `update import_rows set applied = false, remarks = case when row = any($4::int[]) then remarks || array['kept'] else remarks end
     where business_id = $1 and import_id = $2 and row = any($3::int[])`,
    { bind: [businessId, importId, rows.map(({ row }) => row), [...kept]], transaction },
  );
}

/**
 * Gives filled customers what they had before; undone from the last row on, each version is the one that row left,
 * unless somebody changed it since: then the row counts as kept.
 */
async function restoreFilled(
  db: Sequelize,
  businessId: string,
  rows: readonly ImportRow[],
  kept: Set<number>,
  transaction: Transaction,
): Promise<string[]> {
  const filled = rows.filter(({ before, customerId }) => before !== null && customerId !== null);
  const customers = await CustomerRow.findAll({
    where: { businessId, id: filled.flatMap(({ customerId }) => customerId ?? []), mergedInto: null, erasedAt: null },
    order: ["id"],
    lock: transaction.LOCK.UPDATE,
    transaction,
  });
  const now = new Map(customers.map(({ id, details, version }) => [id, { details, version }]));
  const restored = new Set<string>();
  for (const { row, customerId, before, versionAfter } of filled) {
    const target = now.get(customerId ?? "");
    if (target && before && target.version === versionAfter) {
      target.details = before;
      target.version -= 1;
      restored.add(customerId ?? "");
    } else kept.add(row);
  }
  const changes = [...restored].map((id) => ({ id, ...now.get(id) }));
  await db.query(
    `update customers set details = p.details, version = p.version
     from jsonb_to_recordset($2::jsonb) as p(id uuid, details jsonb, version int)
     where business_id = $1 and customers.id = p.id`,
    { bind: [businessId, JSON.stringify(changes)], transaction },
  );
  return [...restored];
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

/** Which of these rows of other imports name that stand (`applied`), or that were taken out again. */
async function otherImports(
  businessId: string,
  importId: string,
  column: "vehicleId" | "customerId",
  ids: readonly string[],
  applied: boolean,
  transaction: Transaction,
  outcome?: "new",
): Promise<Set<string>> {
  const rows = await ImportRow.findAll({
    attributes: [column],
    where: {
      businessId,
      importId: { [Op.ne]: importId },
      [column]: [...ids],
      applied,
      ...(outcome ? { outcome } : {}),
    },
    transaction,
    raw: true,
  });
  return new Set(rows.flatMap((row) => row[column] ?? []));
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
