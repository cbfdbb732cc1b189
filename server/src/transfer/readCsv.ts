import { Readable } from "node:stream";
import { guessByContents, isHeadless, withoutFormulaGuard, type ImportField } from "@mechanon/core";
import Papa from "papaparse";

const SAMPLES = 3;
const BATCH = 500;
const MOST_COLUMNS = 500;
/** Columns are guessed from what stands in so many rows. */
const GUESSED_FROM = 25;
/** A note of more lines than this was never typed: a quote was not closed, and swallowed the rows behind it. */
const MOST_LINES_IN_CELL = 100;
/** So many lines inside one cell that look like rows are rows; in a table of few columns a note may look like one. */
const ROWS_IN_CELL = { ofMany: 2, ofFew: 20 };
const MANY_COLUMNS = 5;

export interface Table {
  headings: string[];
  mapping: (ImportField | null)[];
}

/**
 * Reads CSV in batches of rows, giving way to others between them; the separator is found by itself, and whether the
 * first row is one of headings.
 *
 * @param onTable - told of the columns before the first rows.
 * @throws {Error} when there is no row at all, far too many columns for a table, or a quote that is not closed; it says
 * where.
 */
export async function readCsv(
  text: string,
  onTable: (table: Table) => void,
  onRows: (rows: string[][]) => Promise<void>,
): Promise<void> {
  const sample = Papa.parse<string[]>(text.slice(0, 50_000), { preview: GUESSED_FROM + 1, skipEmptyLines: "greedy" });
  const { delimiter } = sample.meta;
  const parser = Papa.parse(Papa.NODE_STREAM_INPUT, { delimiter, skipEmptyLines: "greedy" });
  const rows = Readable.from(slices(text)).pipe(parser) as AsyncIterable<string[]>;
  const [first = [], ...below] = sample.data;
  const headless = isHeadless(first);
  let table: Table | null = null;
  let batch: string[][] = [];
  const check = swallowCheck(delimiter, first.length);
  for await (const row of rows) {
    check(row);
    if (table === null) {
      if (row.length > MOST_COLUMNS)
        throw new Error(`the file has ${row.length} columns; at most ${MOST_COLUMNS} are read`);
      const headings = headless ? row.map(() => "") : row.map((cell) => cell.trim());
      table = { headings, mapping: guessByContents(headings, headless ? sample.data : below) };
      onTable(table);
      if (!headless) continue;
    }
    batch.push(row.map(withoutFormulaGuard));
    if (batch.length < BATCH) continue;
    await onRows(batch);
    batch = [];
  }
  if (table === null) throw new Error("the file has no rows");
  if (batch.length > 0) await onRows(batch);
}

/** Looks at each row in order for cells that swallowed rows behind them. */
function swallowCheck(delimiter: string, columns: number): (row: readonly string[]) => void {
  let line = 1;
  return (row) => {
    for (const cell of row) {
      const lines = cell.split(/\r\n?|\n/);
      const alike = lines.slice(1, -1).filter((inner) => inner.split(delimiter).length >= columns).length;
      const isSwallowed = columns > 1 && alike >= (columns < MANY_COLUMNS ? ROWS_IN_CELL.ofFew : ROWS_IN_CELL.ofMany);
      if (isSwallowed || lines.length > MOST_LINES_IN_CELL)
        throw new Error(
          `from about line ${line} on, one field goes over ${lines.length} lines, which look like rows of their own; a quote before “${(lines[0] ?? "").trim().slice(0, 40)}” is probably not closed`,
        );
      line += lines.length - 1;
    }
    line += 1;
  };
}

/** The first cells of each column, so that a person sees what it holds. */
export function samplesOf(
  headings: readonly string[],
  rows: readonly string[][],
): { heading: string; samples: string[] }[] {
  return headings.map((heading, column) => ({
    heading: heading === "" ? `Column ${column + 1}` : heading.slice(0, 100),
    samples: rows
      .map((row) => (row[column] ?? "").trim().slice(0, 60))
      .filter(Boolean)
      .slice(0, SAMPLES),
  }));
}

function* slices(text: string): Generator<string> {
  const SLICE = 65_536;
  for (let from = 0; from < text.length; from += SLICE) yield text.slice(from, from + SLICE);
}
