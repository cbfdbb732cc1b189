import { CalcError } from "../calc/error";
import { uniqueIds } from "../calc/uniqueIds";
import { condition, guideOperation, guideStep, type Condition, type GuideStep, type LaborGuide } from "./guide";

/** A row of a table, by the names of its columns. */
export type TableRow = Record<string, string | undefined>;

const CLASS_COLUMNS = {
  smallCar: "small car",
  car: "car",
  largeCar: "large car",
  van: "van",
  pickup: "pickup",
  heavy: "heavy",
} as const;

/**
 * A labor guide from its two open tables: steps with their hours by class of vehicle, operations as lists of steps.
 * An empty cell for hours: not known on that class. Conditions are written `drive:all`, what comes on top `drive:all +0.2`.
 *
 * @throws {CalcError} with table, row and what does not fit: `unreadable`, `duplicate-id` or `unknown-reference`.
 */
export function readGuide(
  source: Pick<LaborGuide, "source" | "simulated">,
  stepRows: readonly TableRow[],
  operationRows: readonly TableRow[],
): LaborGuide {
  const steps = stepRows.map((row, index) => rowAs(`steps, row ${index + 1}`, () => toStep(row)));
  const known = uniqueIds(steps, "steps");
  const operations = operationRows.map((row, index) => {
    const path = `operations, row ${index + 1}`;
    const operation = rowAs(path, () =>
      guideOperation.parse({
        id: row.id,
        title: row.title,
        area: row.area,
        part: row.part,
        per: row.per,
        inTheWay: row["in the way"] || null,
        steps: wordsOf(row.steps),
        only: wordsOf(row.only).map(toCondition),
      }),
    );
    const missing = operation.steps.find((step) => !known.has(step));
    if (missing !== undefined)
      throw new CalcError("unknown-reference", `${path} names the step "${missing}", which is not there`, path);
    return operation;
  });
  uniqueIds(operations, "operations");
  return { ...source, steps, operations };
}

function toStep(row: TableRow): GuideStep {
  return guideStep.parse({
    id: row.id,
    title: row.title,
    per: row.per,
    hours: Object.fromEntries(
      Object.entries(CLASS_COLUMNS).map(([vehicleClass, column]) => {
        const cell = row[column];
        if (cell === undefined) throw new Error(`the column "${column}" is missing`);
        return [vehicleClass, cell.trim() === "" ? null : Number(cell)];
      }),
    ),
    more: (row.more ?? "")
      .split(";")
      .filter((each) => each.trim() !== "")
      .map((each) => {
        const [when = "", hours = ""] = wordsOf(each);
        return { when: toCondition(when), hours: Number(hours) };
      }),
  });
}

function toCondition(written: string): Condition {
  const [fact, is] = written.split(":");
  return condition.parse({ fact, is });
}

const wordsOf = (cell: string | undefined): string[] => (cell ?? "").split(" ").filter((word) => word !== "");

function rowAs<T>(path: string, read: () => T): T {
  try {
    return read();
  } catch (error) {
    throw new CalcError("unreadable", `${path}: ${error instanceof Error ? error.message : String(error)}`, path);
  }
}
