import { z } from "zod";
import { readPhone } from "../customers/phone";
import { guessColumns, type ImportField } from "./importFields";

const email = z.email();
/** So many of a column's cells have to look alike before it is taken for that. */
const MOST_OF_THEM = 0.7;

/** These look like nothing else: taken also where a heading of its own, that nobody knows here, stands over them. */
const UNMISTAKABLE: ReadonlySet<ImportField> = new Set(["email", "carVin", "phone"]);

/** What cells of a kind look like, the surest kind first. */
const LOOKS: readonly { field: ImportField; isOne: (cell: string) => boolean }[] = [
  { field: "email", isOne: (cell) => email.safeParse(cell).success },
  { field: "carVin", isOne: (cell) => /^(?=.*\d)[A-HJ-NPR-Z0-9]{17}$/i.test(cell) },
  { field: "carYear", isOne: (cell) => /^(19[5-9]\d|20[0-4]\d)$/.test(cell) },
  { field: "postcode", isOne: (cell) => /^\d{5}(-\d{4})?$/.test(cell) },
  { field: "phone", isOne: (cell) => /\d{3}.*\d{3}/.test(cell) && readPhone(cell) !== null },
  { field: "region", isOne: (cell) => /^[A-Z]{2}$/.test(cell) },
  { field: "street", isOne: (cell) => /^\d+\w?\s+\p{L}{2,}|^\p{L}[\p{L}.\s-]{3,}\s\d+\w?$/u.test(cell) },
];
const NAME = /^\p{L}[\p{L}'’.-]*(,?\s+[\p{L}'’.&-]+){1,4}$/u;

/**
 * What each column likely holds: by its heading where that is known, else by what stands in it.
 *
 * @param rows - the first rows below the headings.
 */
export function guessByContents(
  headings: readonly string[],
  rows: readonly (readonly string[])[],
): (ImportField | null)[] {
  const byHeading = guessColumns(headings);
  const columns = headings.map((_, column) => rows.map((row) => (row[column] ?? "").trim()).filter(Boolean));
  const guessed = byHeading.map((field, column) => {
    const look = field ?? lookOf(columns[column] ?? []);
    return field !== null || look === null || headings[column] === "" || UNMISTAKABLE.has(look) ? look : null;
  });
  const isNamed = guessed.some((field) => field === "name" || field === "lastName" || field === "business");
  if (isNamed) return guessed;
  const named = guessed.findIndex(
    (field, column) => field === null && mostAre(columns[column] ?? [], (cell) => NAME.test(cell)),
  );
  return guessed.map((field, column) => (column === named ? "name" : field));
}

/**
 * Whether the first row of a file is one like those below it: a file without headings. None of its cells is a known
 * heading, and some cell looks like a phone, an email, a VIN or a year.
 */
export function isHeadless(first: readonly string[]): boolean {
  if (guessColumns(first).some((field) => field !== null)) return false;
  return first.some((cell) => lookOf([cell.trim()]) !== null && !/^[A-Z]{2}$/.test(cell.trim()));
}

function lookOf(cells: readonly string[]): ImportField | null {
  if (cells.length === 0) return null;
  return LOOKS.find(({ isOne }) => mostAre(cells, isOne))?.field ?? null;
}

function mostAre(cells: readonly string[], isOne: (cell: string) => boolean): boolean {
  return cells.length > 0 && cells.filter(isOne).length >= cells.length * MOST_OF_THEM;
}
