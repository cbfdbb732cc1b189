import { z } from "zod";
import { readMoney } from "../money/money";
import { JOB_CONDITIONS } from "../places/conditions";
import { JOB_RIGHTS, libraryJob, type LibraryJob } from "./libraryJob";
import { libraryJobFault, type LibraryFileFault } from "./libraryFile";
import type { MoneyRules } from "./moneyRules";
import type { QuoteLine } from "./quoteLine";

/** Columns of a library as a table: one row for each line; what is said of the whole job stands in its first row. */
export const LIBRARY_COLUMNS = [
  "Job",
  "Title",
  "Area",
  "Kind",
  "Line",
  "Amount",
  "Cost",
  "Price",
  "Table",
  "Part number",
  "Brand",
  "Skill",
  "Carries",
  "Place",
  "Rights",
  "Diagnosis",
  "Brings",
  "Customer words",
  "Mechanic words",
] as const;
type Column = (typeof LIBRARY_COLUMNS)[number];
type Row = Partial<Record<Column, string>>;
const NEEDED: readonly Column[] = ["Job", "Title", "Kind", "Line", "Amount"];
const LIST = "; ";

const money = (cents: number | null): string => (cents === null ? "" : (cents / 100).toFixed(2));

/** Jobs as the rows of a table, in the order of `LIBRARY_COLUMNS`. */
export function rowsOfJobs(jobs: readonly LibraryJob[]): string[][] {
  return jobs.flatMap((job) => {
    const of = job.lines.length === 0 ? [{}] : job.lines.map(rowOfLine);
    return of.map((line, index) => {
      const row: Row = { Job: job.id, ...line, ...(index === 0 ? rowOfJob(job) : {}) };
      return LIBRARY_COLUMNS.map((column) => row[column] ?? "");
    });
  });
}

function rowOfJob({ title, area, needs, words, isDiagnosis, brings }: LibraryJob): Row {
  return {
    Title: title,
    Area: area,
    Skill: needs.skill ?? "",
    Carries: needs.carries ?? "",
    Place: needs.place.join(LIST),
    Rights: needs.rights.join(LIST),
    Brings: brings.map(({ libraryJobId }) => libraryJobId).join(LIST),
    Diagnosis: isDiagnosis ? "yes" : "",
    "Customer words": words.customer,
    "Mechanic words": words.mechanic,
  };
}

function rowOfLine(line: QuoteLine): Row {
  const row: Row = { Kind: line.kind, Line: line.description };
  if (line.kind === "labor")
    return { ...row, Amount: String(line.hours), Price: line.priceByHand ? money(line.rateCents) : "" };
  if (line.kind === "sublet") return { ...row, Amount: "1", Cost: money(line.costCents), Table: `${line.percent}%` };
  const counted = { ...row, Amount: String(line.quantity), Price: money(line.priceCents) };
  if (line.kind !== "part") return counted;
  const { costCents, markup, partNumber, brand } = line;
  return {
    ...counted,
    Cost: money(costCents),
    Table: markup ?? "",
    "Part number": partNumber ?? "",
    Brand: brand ?? "",
  };
}

/**
 * Jobs from the rows of a table; its columns may stand in any order. How a job that is in the library already fits itself
 * to a car, and its other qualities, stay, as far as its lines do. A job one row of which does not fit is left out whole.
 *
 * @param rows - the cells below the headings.
 * @returns faults by the row of the file, the headings being row 1; 0: the file itself.
 */
export function jobsFromRows(
  headings: readonly string[],
  rows: readonly (readonly string[])[],
  before: readonly LibraryJob[],
  rules: Pick<MoneyRules, "laborRateCents" | "wageCents">,
): { jobs: LibraryJob[]; faults: LibraryFileFault[] } {
  const places = new Map(headings.map((heading, index) => [heading.trim().toLowerCase(), index]));
  const missing = NEEDED.filter((column) => !places.has(column.toLowerCase()));
  if (missing.length > 0)
    return { jobs: [], faults: [{ row: 0, title: "", words: `a column is missing: ${missing.join(", ")}` }] };
  const known = new Set(LIBRARY_COLUMNS.map((column) => column.toLowerCase()));
  const faults = headings
    .filter((heading) => heading.trim() !== "" && !known.has(heading.trim().toLowerCase()))
    .map((heading): LibraryFileFault => ({ row: 0, title: "", words: `the column “${heading}” is not taken` }));
  const cell = (row: readonly string[], column: Column): string =>
    (row[places.get(column.toLowerCase()) ?? -1] ?? "").trim();
  // A table of before does not say what the van must carry: it stays as it is kept.
  const hasCarries = places.has("carries");
  const byJob = new Map<string, { at: number; row: readonly string[] }[]>();
  rows.forEach((row, index) => {
    const id = cell(row, "Job");
    const at = index + 2;
    if (id === "" && row.some((each) => each.trim() !== ""))
      faults.push({ row: at, title: cell(row, "Line"), words: "the row does not say which job it is of" });
    if (id !== "") byJob.set(id, [...(byJob.get(id) ?? []), { at, row }]);
  });
  const jobs: LibraryJob[] = [];
  for (const [id, own] of byJob) {
    const kept = before.find((job) => job.id === id);
    const read = readJob(id, own, cell, kept, { rules, hasCarries });
    if ("row" in read) faults.push(read);
    else jobs.push(read);
  }
  return { jobs, faults: faults.sort((a, b) => a.row - b.row) };
}

function readJob(
  id: string,
  rows: readonly { at: number; row: readonly string[] }[],
  cell: (row: readonly string[], column: Column) => string,
  kept: LibraryJob | undefined,
  { rules, hasCarries }: { rules: Pick<MoneyRules, "laborRateCents" | "wageCents">; hasCarries: boolean },
): LibraryJob | LibraryFileFault {
  const first = (column: Column): string => rows.map(({ row }) => cell(row, column)).find((each) => each !== "") ?? "";
  const title = first("Title");
  const lines: QuoteLine[] = [];
  const taken = new Set<string>();
  for (const { at, row } of rows) {
    if (cell(row, "Kind") === "" && cell(row, "Line") === "") continue;
    const read = readLine((column) => cell(row, column), rules);
    if (typeof read === "string") return { row: at, title, words: read };
    const same = kept?.lines.filter(({ id: lineId, kind }) => kind === read.kind && !taken.has(lineId)) ?? [];
    const old = same.find(({ description }) => description === read.description) ?? same[0];
    taken.add(old?.id ?? "");
    lines.push(withKept(read, old, `${id}-${lines.length + 1}-${kept ? "new" : "1"}`));
  }
  const has = new Set(lines.map((line) => line.id));
  const place = listOf(first("Place"), JOB_CONDITIONS);
  const rights = listOf(first("Rights"), JOB_RIGHTS);
  const at = rows[0]?.at ?? 0;
  if (typeof place === "string" || typeof rights === "string")
    return { row: at, title, words: [place, rights].filter((each) => typeof each === "string").join("; ") };
  const job = libraryJob.parse({
    curesPoints: [],
    answersConcerns: [],
    ...kept,
    id,
    title,
    area: first("Area"),
    words: { customer: first("Customer words"), mechanic: first("Mechanic words") },
    needs: {
      skill: first("Skill") || null,
      carries: hasCarries ? first("Carries") || null : (kept?.needs.carries ?? null),
      place,
      rights,
    },
    isDiagnosis: /^(y|yes|true|1|x)$/i.test(first("Diagnosis")),
    lines,
    brings: first("Brings")
      .split(/[;,]/)
      .flatMap((each) => (each.trim() === "" ? [] : [each.trim()]))
      .map(
        (libraryJobId) =>
          kept?.brings.find((each) => each.libraryJobId === libraryJobId) ?? {
            libraryJobId,
            positions: [],
            variantId: null,
          },
      ),
    fits: (kept?.fits ?? []).filter(({ lineId }) => has.has(lineId)),
    variants: (kept?.variants ?? []).map((each) => ({
      ...each,
      parts: each.parts.filter(({ lineId }) => has.has(lineId)),
    })),
  });
  const words = libraryJobFault(job);
  return words === null ? job : { row: at, title, words };
}

/** A line that was in the library keeps its id, and what a table does not say. */
function withKept(read: QuoteLine, old: QuoteLine | undefined, id: string): QuoteLine {
  if (old?.kind === "labor" && read.kind === "labor")
    return { ...read, id: old.id, wageCents: old.wageCents, paidHours: old.paidHours };
  return old?.kind === read.kind ? { ...old, ...read, id: old.id } : { ...read, id: old?.id ?? id };
}

/** A line of a row, or what does not fit. */
function readLine(
  cell: (column: Column) => string,
  rules: Pick<MoneyRules, "laborRateCents" | "wageCents">,
): QuoteLine | string {
  const kind = z.enum(["labor", "part", "fee", "sublet", "core"]).safeParse(cell("Kind").toLowerCase());
  if (!kind.success) return `“${cell("Kind")}” is no kind of line: labor, part, fee, sublet or core`;
  const description = cell("Line");
  if (description === "") return "the line says nothing";
  const amount = Number(cell("Amount").replaceAll(",", ""));
  if (cell("Amount") === "" || !Number.isFinite(amount) || amount < 0)
    return `“${cell("Amount")}” is no amount of “${description}”`;
  const figures: Record<"Cost" | "Price", number | null> = { Cost: null, Price: null };
  for (const column of ["Cost", "Price"] as const) {
    if (cell(column) === "") continue;
    figures[column] = readMoney(cell(column));
    if (figures[column] === null) return `“${cell(column)}” is no ${column.toLowerCase()} of “${description}”`;
  }
  const { Cost: costCents, Price: priceCents } = figures;
  switch (kind.data) {
    case "labor":
      return {
        id: "",
        kind: "labor",
        description,
        hours: amount,
        rateCents: priceCents ?? rules.laborRateCents,
        wageCents: rules.wageCents,
        paidHours: null,
        ...(priceCents === null ? {} : { priceByHand: true }),
      };
    case "part":
      if (priceCents === null && (costCents === null || cell("Table") === ""))
        return `“${description}” has neither a price, nor a cost with a table`;
      return {
        id: "",
        kind: "part",
        description,
        quantity: amount,
        costCents: costCents ?? 0,
        markup: cell("Table") || null,
        priceCents,
        partNumber: cell("Part number") || null,
        brand: cell("Brand") || null,
      };
    case "sublet": {
      const percent = Number(cell("Table").replace(/\s*%$/, "") || "0");
      if (costCents === null || !Number.isFinite(percent) || percent < 0)
        return `“${description}” has no cost, or no percent in the column Table`;
      return { id: "", kind: "sublet", description, costCents, percent, priceCents: null };
    }
    default:
      if (priceCents === null) return `“${description}” has no price`;
      return { id: "", kind: kind.data, description, quantity: amount, priceCents };
  }
}

/** Some of a few words, or what is none of them. */
function listOf<Word extends string>(typed: string, all: readonly Word[]): Word[] | string {
  const words = typed.split(/[;,]/).flatMap((each) => (each.trim() === "" ? [] : [each.trim()]));
  const other = words.find((word) => !all.some((each) => each.toLowerCase() === word.toLowerCase()));
  if (other !== undefined) return `“${other}” is none of ${all.join(", ")}`;
  return all.filter((each) => words.some((word) => word.toLowerCase() === each.toLowerCase()));
}
