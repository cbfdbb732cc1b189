import type { CustomerDetails } from "@mechanon/core";
import type { RowOutcome } from "@mechanon/contract";
import { z } from "zod";
import { Op, type Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import { CustomerRow } from "../customers/model";
import { ImportFile, ImportRow } from "./model";
import { insertCustomers, insertVehicles } from "../customers/insertCustomers";
import type { Deps } from "../scope";
import { indexCustomers, indexOutdated } from "../search/indexCustomers";
import { SeenRows, carsOfRows, joinedDetails, planRows, withIds, type CarsOfRows, type PlannedRow } from "./importRows";
import { samplesOf } from "./readCsv";
import { readInThread } from "./readInThread";
import { undoRows } from "./undoImport";

export const IMPORT_TASK = "import";
export const importPayload = z.object({ businessId: z.string(), importId: z.string() });
const BATCH = 500;
const SAMPLE_ROWS = 20;

type Parts = Pick<Deps, "db" | "log" | "rules">;

/** The next step of an import in the background; what went wrong is told on it. A step that was broken off begins anew or goes on. */
export async function runImportStep(
  parts: Parts,
  { businessId, importId }: z.infer<typeof importPayload>,
): Promise<void> {
  const { db, log } = parts;
  const file = await ImportFile.findOne({ where: { businessId, id: importId } });
  if (!file) return;
  try {
    if (file.status === "reading") await readFile(parts, file);
    else if (file.status === "checking") await checkRows(parts, file);
    else if (file.status === "running") await applyRows(parts, file);
    else if (file.status === "undoing") await undoRows(db, file);
  } catch (error) {
    log.error({ err: error, importId, status: file.status }, "import step failed");
    const isReading = file.status === "reading";
    await file.update({
      status: "failed",
      problem: isReading
        ? `The file could not be read: ${error instanceof Error ? error.message : "unknown fault"}. Nothing was brought in; save it as CSV in UTF-8 and try again.`
        : "The server failed on this. What was brought in so far is kept and can be undone.",
    });
  }
}

async function readFile({ db }: Parts, file: ImportFile): Promise<void> {
  const { businessId, id: importId, format, encoding } = file;
  await ImportRow.destroy({ where: { businessId, importId } });
  let count = 0;
  let samples: string[][] = [];
  const keep = async (rows: string[][]): Promise<void> => {
    const first = count + 1;
    if (count === 0) samples = rows.slice(0, SAMPLE_ROWS);
    count += rows.length;
    await db.query(
      `insert into import_rows (business_id, import_id, row, cells)
       select $1, $2, $3 + position - 1, cells from jsonb_array_elements($4::jsonb) with ordinality as given(cells, position)`,
      // PostgreSQL's JSON cannot hold U+0000, which files of another kind are full of.
      { bind: [businessId, importId, first, JSON.stringify(rows).replace(/\\u0000/g, "")] },
    );
    await file.update({ rowCount: count, doneCount: count });
  };
  let headings: readonly string[] = [];
  await readInThread(
    { bytes: file.bytes, encoding, format },
    (table) => {
      headings = table.headings;
      file.mapping = table.mapping;
    },
    keep,
  );
  if (count === 0) throw new Error("there is a heading, and no row below it");
  const columns =
    format === "csv" ? samplesOf(headings, samples) : headings.map((heading) => ({ heading, samples: [] }));
  await file.update({ status: "read", columns, mapping: file.mapping });
}

async function checkRows({ db }: Parts, file: ImportFile): Promise<void> {
  const { businessId, id: importId } = file;
  const seen = new SeenRows();
  const plan = async (rows: ImportRow[]): Promise<PlannedRow[]> => planRows(db, file, rows, seen);
  const keep = async (planned: PlannedRow[]): Promise<void> => {
    await db.query(
      `update import_rows set outcome = p.outcome, name = p.name, remarks = array(select jsonb_array_elements_text(p.remarks)),
         joins_row = p.joins_row, customer_id = p.customer_id
       from jsonb_to_recordset($3::jsonb) as p(row int, outcome text, name text, remarks jsonb, joins_row int, customer_id uuid)
       where business_id = $1 and import_id = $2 and import_rows.row between $4 and $5 and import_rows.row = p.row`,
      {
        bind: [
          businessId,
          importId,
          JSON.stringify(
            planned.map(({ row, read, outcome, remarks, known, joinsRow }) => ({
              row: row.row,
              outcome,
              name: read.name,
              remarks,
              joins_row: joinsRow,
              customer_id: known?.id ?? null,
            })),
          ),
          planned[0]?.row.row ?? 0,
          planned.at(-1)?.row.row ?? 0,
        ],
      },
    );
  };
  await eachBatch(file, {}, { plan, keep, finish: () => Promise.resolve() });
  await file.update({ status: "checked", doneCount: file.rowCount });
}

async function applyRows({ db, rules }: Parts, file: ImportFile): Promise<void> {
  const { businessId } = file;
  const { settings } = await rules.now(businessId);
  const homeRegion = settings.regions[0] ?? "";
  const seen = new SeenRows();
  const takenCars = new Set<string>();
  const plan = async (rows: ImportRow[]): Promise<{ planned: PlannedRow[]; cars: CarsOfRows }> => {
    const planned = await planRows(db, file, rows, seen);
    return { planned, cars: await carsOfRows(businessId, planned, homeRegion, takenCars) };
  };
  await eachBatch(
    file,
    { chosen: true, applied: false },
    {
      plan,
      keep: ({ planned, cars }) => db.transaction((transaction) => applyBatch(db, file, planned, cars, transaction)),
      finish: (customerIds) =>
        db.transaction((transaction) => indexCustomers(db, businessId, customerIds, transaction)),
    },
  );
  // Whom a step kept that was broken off before they were indexed.
  await indexOutdated(db, businessId);
  // The rows say all that is needed from here on; a file full of people is not kept longer than that.
  const columns = file.columns.map(({ heading }) => ({ heading, samples: [] }));
  await file.update({ status: "done", doneCount: file.rowCount, bytes: Buffer.alloc(0), columns });
}

/** What was done with a row, so that it can be taken back. */
interface Done {
  row: number;
  outcome: RowOutcome;
  customer_id: string | null;
  vehicle_id: string | null;
  before: CustomerDetails | null;
  version_after: number | null;
}

/**
 * Keeps what a batch brings, in few statements: new customers, then those that are joined or filled.
 * @returns All of them, who are to be indexed.
 */
async function applyBatch(
  db: Deps["db"],
  file: ImportFile,
  planned: readonly PlannedRow[],
  cars: CarsOfRows,
  transaction: Transaction,
): Promise<string[]> {
  const { businessId } = file;
  const made = planned
    .filter(({ outcome }) => outcome === "new")
    .map(({ row, read }) => {
      const car = cars.fresh.get(row.row);
      const { kind, name } = read;
      return { row: row.row, id: uuid(), kind, name, details: withIds(read.details), vehicles: car ? [car] : [] };
    });
  await insertCustomers(db, businessId, made, transaction);
  const done: Done[] = made.map(({ row, id, vehicles }) => ({
    row,
    outcome: "new",
    customer_id: id,
    vehicle_id: vehicles[0]?.id ?? cars.broughtBefore.get(row) ?? null,
    before: null,
    version_after: 1,
  }));
  const idOfRow = new Map(made.map(({ row, id }) => [row, id]));
  const rest = planned.filter(({ outcome }) => outcome !== "new");
  const earlier = await customersOfRows(
    file,
    rest.flatMap(({ joinsRow }) => (joinsRow !== null && !idOfRow.has(joinsRow) ? [joinsRow] : [])),
    transaction,
  );
  const targetOf = ({ known, joinsRow }: PlannedRow): string | null =>
    known?.id ?? idOfRow.get(joinsRow ?? 0) ?? earlier.get(joinsRow ?? 0) ?? null;
  const fills = rest.filter(({ outcome }) => outcome === "fills" || outcome === "joins");
  const filled = await fillCustomers(db, file, fills, targetOf, cars, transaction);
  done.push(...filled);
  for (const plan of rest)
    if (plan.outcome === "fault" || plan.outcome === "skips")
      done.push({
        row: plan.row.row,
        outcome: plan.outcome,
        customer_id: plan.known?.id ?? null,
        vehicle_id: cars.broughtBefore.get(plan.row.row) ?? null,
        before: null,
        version_after: null,
      });
  await noteRows(db, file, done, transaction);
  return [...made.map(({ id }) => id), ...filled.flatMap(({ customer_id: id }) => id ?? [])];
}

/** Fills in customers row by row in memory, and keeps the outcome at once. */
async function fillCustomers(
  db: Deps["db"],
  { businessId }: ImportFile,
  fills: readonly PlannedRow[],
  targetOf: (plan: PlannedRow) => string | null,
  cars: CarsOfRows,
  transaction: Transaction,
): Promise<Done[]> {
  const ids = [...new Set(fills.flatMap((plan) => targetOf(plan) ?? []))];
  if (ids.length === 0) return [];
  const rows = await CustomerRow.findAll({
    where: { businessId, id: ids, erasedAt: null, mergedInto: null },
    order: ["id"],
    lock: transaction.LOCK.UPDATE,
    transaction,
    raw: true,
  });
  const now = new Map(rows.map(({ id, details, version }) => [id, { details, version }]));
  const done: Done[] = [];
  const fresh: Parameters<typeof insertVehicles>[2][number][] = [];
  for (const plan of fills) {
    const customerId = targetOf(plan);
    const target = customerId === null ? undefined : now.get(customerId);
    if (customerId === null || !target) {
      // Erased or merged since it was planned.
      done.push({
        row: plan.row.row,
        outcome: "skips",
        customer_id: null,
        vehicle_id: null,
        before: null,
        version_after: null,
      });
      continue;
    }
    const before = target.details;
    target.details = joinedDetails(before, plan.read);
    target.version += 1;
    const car = cars.fresh.get(plan.row.row);
    if (car) fresh.push({ ...car, customerId });
    done.push({
      row: plan.row.row,
      outcome: plan.outcome,
      customer_id: customerId,
      vehicle_id: car?.id ?? cars.broughtBefore.get(plan.row.row) ?? null,
      before,
      version_after: target.version,
    });
  }
  await db.query(
    `update customers set details = p.details, version = p.version, search_version = 0
     from jsonb_to_recordset($2::jsonb) as p(id uuid, details jsonb, version int)
     where business_id = $1 and customers.id = p.id`,
    { bind: [businessId, JSON.stringify([...now].map(([id, changed]) => ({ id, ...changed })))], transaction },
  );
  await insertVehicles(db, businessId, fresh, transaction);
  return done;
}

/** The customers earlier batches made of rows. */
async function customersOfRows(
  { businessId, id: importId }: ImportFile,
  rows: readonly number[],
  transaction: Transaction,
): Promise<Map<number, string>> {
  if (rows.length === 0) return new Map();
  const found = await ImportRow.findAll({
    where: { businessId, importId, row: [...rows], applied: true },
    transaction,
  });
  return new Map(found.flatMap(({ row, customerId }) => (customerId === null ? [] : [[row, customerId] as const])));
}

async function noteRows(
  db: Deps["db"],
  { businessId, id }: ImportFile,
  done: Done[],
  transaction: Transaction,
): Promise<void> {
  const rows = done.map(({ row }) => row);
  await db.query(
    `update import_rows set applied = true, outcome = p.outcome, customer_id = p.customer_id, vehicle_id = p.vehicle_id, before = p.before, version_after = p.version_after
     from jsonb_to_recordset($3::jsonb) as p(row int, outcome text, customer_id uuid, vehicle_id uuid, before jsonb, version_after int)
     where business_id = $1 and import_id = $2 and import_rows.row between $4 and $5 and import_rows.row = p.row`,
    { bind: [businessId, id, JSON.stringify(done), Math.min(...rows), Math.max(...rows)], transaction },
  );
}

/** What is done with each batch of rows, one after the other. */
interface BatchSteps<Plan, Kept> {
  plan: (rows: ImportRow[]) => Promise<Plan>;
  keep: (planned: Plan) => Promise<Kept>;
  finish: (kept: Kept) => Promise<void>;
}

/**
 * Goes through the rows in order, batch by batch, and tells how far it is. While a batch is kept, the next is planned
 * and the last finished, so that server and database both have something to do; a plan must not need what the batch
 * before it brings: rows that belong together are known by their file.
 */
async function eachBatch<Plan, Kept>(
  file: ImportFile,
  only: { chosen?: boolean; applied?: boolean },
  { plan, keep, finish }: BatchSteps<Plan, Kept>,
): Promise<void> {
  const { businessId, id: importId } = file;
  const planAfter = async (row: number): Promise<{ planned: Plan; last: number } | null> => {
    const rows = await nextRows(businessId, importId, row, only);
    return rows.length === 0 ? null : { planned: await plan(rows), last: rows.at(-1)?.row ?? row };
  };
  let batch = await planAfter(0);
  let finishLast = (): Promise<void> => Promise.resolve();
  while (batch) {
    const { planned, last } = batch;
    const [next, kept] = await Promise.all([planAfter(last), keep(planned), finishLast()]);
    finishLast = () => finish(kept);
    batch = next;
    await file.update({ doneCount: last });
    // Whoever waits for the same process gets a turn.
    await new Promise((resolve) => setImmediate(resolve));
  }
  await finishLast();
}

function nextRows(
  businessId: string,
  importId: string,
  after: number,
  only: { chosen?: boolean; applied?: boolean },
): Promise<ImportRow[]> {
  return ImportRow.findAll({
    where: { businessId, importId, row: { [Op.gt]: after }, ...only },
    order: ["row"],
    limit: BATCH,
    raw: true,
  });
}
