import { readVcards } from "./readVcard";
import { VCARD_COLUMNS } from "./vcardColumns";
import { readCsv, type Table } from "./readCsv";
import { textOf } from "./readText";

const BATCH = 500;

export interface FileToRead {
  bytes: Uint8Array;
  encoding: string;
  format: "csv" | "vcard";
}

/**
 * Reads a file of customers in batches of rows.
 *
 * @param onTable - told of the columns before the first rows.
 * @throws {Error} when there is nothing to read in it, in words for who sent it.
 */
export async function readFile(
  { bytes, encoding, format }: FileToRead,
  onTable: (table: Table) => void,
  onRows: (rows: string[][]) => Promise<void>,
): Promise<void> {
  const text = textOf(Buffer.from(bytes), encoding);
  if (format === "csv") return readCsv(text, onTable, onRows);
  onTable({ headings: [...VCARD_COLUMNS], mapping: [...VCARD_COLUMNS] });
  let batch: string[][] = [];
  let count = 0;
  for (const row of readVcards(text)) {
    count += 1;
    batch.push(row);
    if (batch.length < BATCH) continue;
    await onRows(batch);
    batch = [];
  }
  if (count === 0) throw new Error("there is no card in it");
  if (batch.length > 0) await onRows(batch);
}
