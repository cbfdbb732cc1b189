import { QueryTypes, type Sequelize, type Transaction } from "sequelize";
import type { ImportRowView, ImportView, RowOutcome } from "@mechanon/contract";
import { ImportFile, ImportRow } from "./model";
import { AppError } from "../errors/appError";
import type { Scope } from "../scope";
import { IMPORT_TASK } from "./importTasks";
import { guessEncoding } from "./readText";
import { kindOfNoText } from "./kindOfNoText";

const MOST_LISTED = 10;
const ROWS_PAGE = 50;

/** Takes in a file and has it read in the background; the same id again changes nothing. */
export async function startImport(
  db: Sequelize,
  scope: Scope,
  id: string,
  fileName: string,
  bytes: Buffer,
): Promise<ImportView> {
  const { businessId, actor } = scope;
  if (bytes.length === 0)
    throw new AppError("import/unreadable", "The file is empty. Nothing was brought in; pick another one.");
  const kind = kindOfNoText(bytes);
  if (kind !== null)
    throw new AppError(
      "import/unreadable",
      `This is ${kind}, whatever its name says. Nothing was brought in; save it as CSV or vCard first.`,
    );
  await db.transaction(async (transaction) => {
    const encoding = guessEncoding(bytes);
    const isVcard = /\.vcf$/i.test(fileName) || /^\uFEFF?\s*BEGIN:VCARD/i.test(bytes.subarray(0, 200).toString("utf8"));
    const [, isNew] = await ImportFile.findOrCreate({
      where: { businessId, id },
      defaults: {
        businessId,
        id,
        fileName,
        bytes,
        format: isVcard ? "vcard" : "csv",
        status: "reading",
        encoding,
        columns: [],
        mapping: [],
        doubles: "fill",
        personId: actor.id,
      },
      transaction,
    });
    if (isNew) await queueStep(db, businessId, id, transaction);
  });
  return viewImport(db, scope, id);
}

/** The next step of an import may begin from these states only. */
const MAY_FOLLOW: Readonly<Record<"reading" | "checking" | "running" | "undoing", readonly ImportView["status"][]>> = {
  reading: ["read", "checked", "failed"],
  checking: ["read", "checked"],
  running: ["checked"],
  undoing: ["done", "failed"],
};

/**
 * Moves an import on to its next step, done in the background.
 * @throws {AppError} `import/not-now` while another step is under way or this one does not follow.
 */
export async function nextStep(
  db: Sequelize,
  scope: Scope,
  id: string,
  step: keyof typeof MAY_FOLLOW,
  change: (
    file: ImportFile,
    transaction: Transaction,
  ) => Promise<Partial<Pick<ImportFile, "mapping" | "doubles" | "encoding">>>,
): Promise<ImportView> {
  const { businessId } = scope;
  await db.transaction(async (transaction) => {
    const file = await findImport(scope, id, transaction);
    if (!MAY_FOLLOW[step].includes(file.status))
      throw new AppError(
        "import/not-now",
        `The import is ${file.status} just now. Nothing was changed; wait for it, or begin again with the file.`,
      );
    await file.update(
      { ...(await change(file, transaction)), status: step, doneCount: 0, problem: null },
      { transaction },
    );
    await queueStep(db, businessId, id, transaction);
  });
  return viewImport(db, scope, id);
}

/** Marks which rows are taken. */
export async function chooseRows(
  { businessId }: Scope,
  importId: string,
  rows: "all" | number[],
  transaction: Transaction,
): Promise<void> {
  await ImportRow.update({ chosen: rows === "all" }, { where: { businessId, importId }, transaction });
  if (rows !== "all")
    await ImportRow.update({ chosen: true }, { where: { businessId, importId, row: rows }, transaction });
}

export async function viewImport(db: Sequelize, scope: Scope, id: string): Promise<ImportView> {
  return (await views(db, scope, [await findImport(scope, id)]))[0] as ImportView;
}

export async function listImports(db: Sequelize, scope: Scope): Promise<ImportView[]> {
  const files = await ImportFile.findAll({
    attributes: { exclude: ["bytes"] },
    where: { businessId: scope.businessId },
    order: [["createdAt", "DESC"]],
    limit: MOST_LISTED,
  });
  return views(db, scope, files);
}

export async function pageOfRows(
  scope: Scope,
  importId: string,
  { from, outcome }: { from: number; outcome?: RowOutcome },
): Promise<{ rows: ImportRowView[]; count: number }> {
  const { businessId } = scope;
  await findImport(scope, importId);
  const { rows, count } = await ImportRow.findAndCountAll({
    where: { businessId, importId, ...(outcome ? { outcome } : {}) },
    order: ["row"],
    offset: from,
    limit: ROWS_PAGE,
  });
  return {
    rows: rows.map(({ row, outcome: became, name, remarks, customerId }) => ({
      row,
      outcome: became,
      name,
      remarks,
      customerId,
    })),
    count,
  };
}

async function findImport({ businessId }: Scope, id: string, transaction?: Transaction): Promise<ImportFile> {
  const file = await ImportFile.findOne({
    attributes: { exclude: ["bytes"] },
    where: { businessId, id },
    lock: transaction?.LOCK.UPDATE,
    transaction,
  });
  if (!file) throw new AppError("import/not-found", "There is no such import. Begin again with the file.");
  return file;
}

async function views(db: Sequelize, { businessId }: Scope, files: ImportFile[]): Promise<ImportView[]> {
  const counted = await db.query<{ import_id: string; outcome: RowOutcome; count: number }>(
    `select import_id, outcome, count(*)::int as count from import_rows
     where business_id = $1 and import_id = any($2::uuid[]) and outcome is not null and chosen group by 1, 2`,
    // While a step runs nobody needs them, and whoever waits asks often.
    {
      bind: [businessId, files.flatMap(({ id, status }) => (status in MAY_FOLLOW ? [] : [id]))],
      type: QueryTypes.SELECT,
    },
  );
  return files.map((file) => {
    const {
      id,
      fileName,
      format,
      status,
      encoding,
      columns,
      mapping,
      doubles,
      rowCount,
      doneCount,
      keptByUndo,
      problem,
      createdAt,
    } = file;
    const of = (outcome: RowOutcome): number =>
      counted.find((each) => each.import_id === id && each.outcome === outcome)?.count ?? 0;
    return {
      id,
      fileName,
      format,
      status,
      encoding,
      columns,
      mapping,
      doubles,
      rowCount,
      doneCount,
      keptByUndo,
      problem,
      counts: { new: of("new"), joins: of("joins"), fills: of("fills"), skips: of("skips"), fault: of("fault") },
      createdAt: createdAt.toISOString(),
    };
  });
}

async function queueStep(db: Sequelize, businessId: string, importId: string, transaction: Transaction): Promise<void> {
  await db.query(
    "select queue_job($1, json_build_object('businessId', $2::text, 'importId', $3::text), queue_name => 'imports')",
    { bind: [IMPORT_TASK, businessId, importId], transaction },
  );
}
