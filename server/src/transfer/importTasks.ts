import { z } from "zod";
import { Op, type Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import { loadRules } from "../settings/service";
import { CustomerRow, ImportFile, ImportRow } from "../db/models";
import { insertCustomers, insertVehicles } from "../customers/insertCustomers";
import type { Deps } from "../scope";
import { indexCustomers } from "../search/indexCustomers";
import { SeenRows, joinedDetails, newCars, planRows, withIds, type PlannedRow } from "./importRows";
import { readCsv, samplesOf } from "./readCsv";
import { textOf } from "./readText";
import { VCARD_COLUMNS, readVcards } from "./readVcard";
import { undoRows } from "./undoImport";

export const IMPORT_TASK = "import";
export const importPayload = z.object({ businessId: z.string(), importId: z.string() });
const BATCH = 200;
const SAMPLE_ROWS = 20;

type Parts = Pick<Deps, "db" | "log">;

/** The next step of an import in the background; what went wrong is told on it. A step that was broken off begins anew or goes on. */
export async function runImportStep(
  { db, log }: Parts,
  { businessId, importId }: z.infer<typeof importPayload>,
): Promise<void> {
  const file = await ImportFile.findOne({ where: { businessId, id: importId } });
  if (!file) return;
  try {
    if (file.status === "reading") await readFile({ db, log }, file);
    else if (file.status === "checking") await checkRows({ db, log }, file);
    else if (file.status === "running") await applyRows({ db, log }, file);
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
  const text = textOf(file.bytes, encoding);
  if (format === "vcard") {
    const cards = readVcards(text);
    if (cards.length === 0) throw new Error("there is no card in it");
    for (let from = 0; from < cards.length; from += BATCH) await keep(cards.slice(from, from + BATCH));
    await file.update({
      status: "read",
      columns: VCARD_COLUMNS.map((heading) => ({ heading, samples: [] })),
      mapping: [...VCARD_COLUMNS],
    });
    return;
  }
  let headings: string[] = [];
  await readCsv(
    text,
    (table) => {
      headings = table.headings;
      file.mapping = table.mapping;
    },
    keep,
  );
  if (count === 0) throw new Error("there is a heading, and no row below it");
  await file.update({ status: "read", columns: samplesOf(headings, samples), mapping: file.mapping });
}

async function checkRows({ db }: Parts, file: ImportFile): Promise<void> {
  const { businessId, id: importId } = file;
  const seen = new SeenRows();
  await eachBatch(file, {}, async (rows) => {
    const planned = await planRows(db, file, rows, seen);
    await db.query(
      `update import_rows set outcome = p.outcome, name = p.name, remarks = array(select jsonb_array_elements_text(p.remarks)),
         joins_row = p.joins_row, customer_id = p.customer_id
       from jsonb_to_recordset($3::jsonb) as p(row int, outcome text, name text, remarks jsonb, joins_row int, customer_id uuid)
       where business_id = $1 and import_id = $2 and import_rows.row = p.row`,
      {
        bind: [
          businessId,
          importId,
          JSON.stringify(planned.map(({ row, read, outcome, remarks, known, joinsRow }) => ({ row: row.row, outcome, name: read.name, remarks, joins_row: joinsRow, customer_id: known?.id ?? null }))),
        ],
      },
    ); // prettier-ignore
  });
  await file.update({ status: "checked", doneCount: file.rowCount });
}

async function applyRows({ db }: Parts, file: ImportFile): Promise<void> {
  const { businessId } = file;
  const { business } = await loadRules(businessId);
  const homeRegion = business.settings.regions[0] ?? "";
  const seen = new SeenRows();
  const takenCars = new Set<string>();
  await eachBatch(file, { chosen: true, applied: false }, async (rows) => {
    await db.transaction(async (transaction) => {
      const planned = await planRows(db, file, rows, seen, transaction);
      const cars = await newCars(businessId, planned, homeRegion, takenCars, transaction);
      await new BatchApplier(db, file, transaction).apply(planned, cars);
    });
  });
  // The rows say all that is needed from here on; a file full of people is not kept longer than that.
  await file.update({ status: "done", doneCount: file.rowCount, bytes: Buffer.alloc(0) });
}

/** Keeps what a batch brings: new customers at once, then what joins or fills. */
class BatchApplier {
  constructor(
    private readonly db: Deps["db"],
    private readonly file: ImportFile,
    private readonly transaction: Transaction,
  ) {}

  async apply(planned: readonly PlannedRow[], cars: Awaited<ReturnType<typeof newCars>>): Promise<void> {
    const { db, transaction } = this;
    const { businessId } = this.file;
    const made = planned
      .filter(({ outcome }) => outcome === "new")
      .map(({ row, read }) => ({ row, id: uuid(), kind: read.kind, name: read.name, details: withIds(read.details), vehicles: [cars.get(row.row) ?? []].flat() }));
    await insertCustomers(db, businessId, made, transaction);
    const idOfRow = new Map(made.map(({ row, id }) => [row.row, id]));
    await this.note(made.map(({ row, id, vehicles }) => ({ row: row.row, outcome: "new", customer_id: id, vehicle_id: vehicles[0]?.id ?? null, before: null, version_after: 1 })));
    const changed: string[] = [];
    for (const plan of planned) {
      if (plan.outcome === "new") continue;
      if (plan.outcome === "fault" || plan.outcome === "skips") {
        await this.note([{ row: plan.row.row, outcome: plan.outcome, customer_id: plan.known?.id ?? null, vehicle_id: null, before: null, version_after: null }]);
        continue;
      }
      const customerId = plan.known?.id ?? idOfRow.get(plan.joinsRow ?? 0) ?? (await this.customerOfRow(plan.joinsRow ?? 0));
      if (customerId !== null) changed.push(await this.fill(plan, customerId, cars));
    }
    await indexCustomers(db, businessId, changed, transaction);
  } // prettier-ignore

  private async fill(plan: PlannedRow, customerId: string, cars: Awaited<ReturnType<typeof newCars>>): Promise<string> {
    const { db, transaction } = this;
    const { businessId } = this.file;
    const row = await CustomerRow.findOne({ where: { businessId, id: customerId }, lock: transaction.LOCK.UPDATE, transaction, rejectOnEmpty: true }); // prettier-ignore
    const before = row.details;
    await row.update({ details: joinedDetails(before, plan.read), version: row.version + 1 }, { transaction });
    const car = cars.get(plan.row.row);
    if (car) await insertVehicles(db, businessId, [{ ...car, customerId }], transaction);
    await this.note([
      { row: plan.row.row, outcome: plan.outcome, customer_id: customerId, vehicle_id: car?.id ?? null, before, version_after: row.version },
    ]); // prettier-ignore
    return customerId;
  }

  /** The customer an earlier batch made of a row. */
  private async customerOfRow(row: number): Promise<string | null> {
    const { businessId, id: importId } = this.file;
    const found = await ImportRow.findOne({ where: { businessId, importId, row }, transaction: this.transaction });
    return found?.applied ? found.customerId : null;
  }

  private async note(done: object[]): Promise<void> {
    if (done.length === 0) return;
    const { businessId, id } = this.file;
    await this.db.query(
      `update import_rows set applied = true, outcome = p.outcome, customer_id = p.customer_id, vehicle_id = p.vehicle_id, before = p.before, version_after = p.version_after
       from jsonb_to_recordset($3::jsonb) as p(row int, outcome text, customer_id uuid, vehicle_id uuid, before jsonb, version_after int)
       where business_id = $1 and import_id = $2 and import_rows.row = p.row`,
      { bind: [businessId, id, JSON.stringify(done)], transaction: this.transaction },
    );
  }
}

/** Goes through the rows in order, batch by batch, and tells how far it is. */
async function eachBatch(
  file: ImportFile,
  only: { chosen?: boolean; applied?: boolean },
  work: (rows: ImportRow[]) => Promise<void>,
): Promise<void> {
  const { businessId, id: importId } = file;
  let last = 0;
  for (;;) {
    const rows = await nextRows(businessId, importId, last, only);
    if (rows.length === 0) return;
    await work(rows);
    last = rows.at(-1)?.row ?? last;
    await file.update({ doneCount: last });
    // Whoever waits for the same process gets a turn.
    await new Promise((resolve) => setImmediate(resolve));
  }
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
  });
}
