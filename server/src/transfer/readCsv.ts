import { Readable } from "node:stream";
import { guessColumns, type ImportField } from "@mechanon/core";
import Papa from "papaparse";

const SAMPLES = 3;
const BATCH = 500;
const MOST_COLUMNS = 500;

export interface Table {
  headings: string[];
  mapping: (ImportField | null)[];
}

/**
 * Reads CSV in batches of rows, giving way to others between them; the separator is found by itself.
 *
 * @param onTable - told of the columns before the first rows.
 * @throws {Error} when there is no row at all, or far too many columns for a table.
 */
export async function readCsv(
  text: string,
  onTable: (table: Table) => void,
  onRows: (rows: string[][]) => Promise<void>,
): Promise<void> {
  const { meta } = Papa.parse<string[]>(text.slice(0, 50_000), { preview: 20, skipEmptyLines: "greedy" });
  const parser = Papa.parse(Papa.NODE_STREAM_INPUT, { delimiter: meta.delimiter, skipEmptyLines: "greedy" });
  const rows = Readable.from(slices(text)).pipe(parser) as AsyncIterable<string[]>;
  let hasTable = false;
  let batch: string[][] = [];
  for await (const row of rows) {
    if (!hasTable) {
      if (row.length > MOST_COLUMNS)
        throw new Error(`the file has ${row.length} columns; at most ${MOST_COLUMNS} are read`);
      onTable({ headings: row.map((cell) => cell.trim()), mapping: guessColumns(row) });
      hasTable = true;
      continue;
    }
    batch.push(row);
    if (batch.length < BATCH) continue;
    await onRows(batch);
    batch = [];
  }
  if (!hasTable) throw new Error("the file has no rows");
  if (batch.length > 0) await onRows(batch);
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
