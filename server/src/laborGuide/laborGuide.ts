import { readFileSync } from "node:fs";
import { join } from "node:path";
import { readGuide, type LaborGuide, type TableRow } from "@mechanon/core";
import Papa from "papaparse";

const FOLDER = join(__dirname, "..", "..", "..", "demo", "laborGuide");
const SOURCE = { source: "Tidewater hours (made up)", simulated: true };

let kept: LaborGuide | undefined;

/** The labor guide that ships with the app; read once. @throws {CalcError} when its tables do not fit together. */
export function laborGuide(): LaborGuide {
  kept ??= readGuide(SOURCE, rowsOf("steps.csv"), rowsOf("operations.csv"));
  return kept;
}

function rowsOf(file: string): TableRow[] {
  return Papa.parse<TableRow>(readFileSync(join(FOLDER, file), "utf8"), { header: true, skipEmptyLines: true }).data;
}
