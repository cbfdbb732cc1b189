import {
  LIBRARY_COLUMNS,
  jobsFromRows,
  libraryChanges,
  readLibraryFile,
  rowsOfJobs,
  withoutFormulaGuard,
  writeLibraryFile,
  type LibraryJob,
  type MoneyRules,
} from "@mechanon/core";
import type { LibraryFileAnswer, routes } from "@mechanon/contract";
import Papa from "papaparse";
import type { Sequelize } from "sequelize";
import type { z } from "zod";
import type { Scope } from "../scope";
import { csv } from "../transfer/csv";
import { writeLibrary } from "./libraryWrites";
import { requireCost } from "./requireCost";

/** The whole library as a file. @throws {AppError} `rights/missing` for who may not see cost. */
export function libraryFile({ actor }: Scope, library: readonly LibraryJob[]): string {
  requireCost(actor);
  return writeLibraryFile(library);
}

/** The library as a table, a row for each line. @throws {AppError} `rights/missing` for who may not see cost. */
export function libraryTable({ actor }: Scope, library: readonly LibraryJob[]): string {
  requireCost(actor);
  return csv(LIBRARY_COLUMNS, rowsOfJobs(library));
}

/**
 * Brings the jobs of a file in, JSON or a table: new ones last, others over the one of their id; tried only, it says what
 * it would do. What does not fit is left out and told. The same file again changes nothing.
 * @throws {AppError} `rights/missing`, `list/too-long`; nothing was brought in then.
 */
export async function bringInLibrary(
  db: Sequelize,
  scope: Scope,
  { text, isDry }: z.output<(typeof routes.bringInLibrary)["body"]>,
  rules: MoneyRules,
): Promise<LibraryFileAnswer> {
  requireCost(scope.actor);
  return writeLibrary(db, scope, (before) => {
    const { jobs, faults } = /^[\uFEFF\s]*[{[]/.test(text) ? readLibraryFile(text) : readTable(text, before, rules);
    const { added, changed, same } = libraryChanges(before, jobs);
    const writes = isDry ? [] : [...added, ...changed].map((after) => ({ id: after.id, after }));
    return { writes, answer: { added: added.length, changed: changed.length, same: same.length, faults } };
  });
}

function readTable(text: string, before: readonly LibraryJob[], rules: MoneyRules): ReturnType<typeof readLibraryFile> {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""));
  const open = errors.find(({ type }) => type === "Quotes");
  if (open) {
    const words = `from row ${(open.row ?? 0) + 1} on a quote is not closed; nothing was read`;
    return { jobs: [], faults: [{ row: 0, title: "", words }] };
  }
  const [headings = [], ...rows] = data;
  return jobsFromRows(
    headings,
    rows.map((row) => row.map(withoutFormulaGuard)),
    before,
    rules,
  );
}
