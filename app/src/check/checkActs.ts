import {
  gradeFromMeasures,
  isBad,
  type Finding,
  type Grade,
  type InspectionPoint,
  type MeasuredOn,
  type SheetAtHand,
} from "@mechanon/core";
import { sendCommand } from "../sync/give";

/** What a grade is given with. */
export interface Given {
  grade: Grade;
  measures?: Finding["measures"];
  note?: string;
}

/** Grades a point of a sheet; a sheet that came by itself begins with it. */
export function gradePoint(
  workOrderId: string,
  sheet: Pick<SheetAtHand, "sheetId" | "isStarted"> | undefined,
  pointId: string,
  before: Finding | undefined,
  { grade, measures = before?.measures ?? {}, note = before?.note ?? "" }: Given,
): void {
  begin(workOrderId, sheet);
  sendCommand(workOrderId, { type: "gradePoint", pointId, grade, measures, note, over: before?.at ?? null });
}

/** Makes points sound that nobody looked at. */
export function gradeRest(
  workOrderId: string,
  sheet: Pick<SheetAtHand, "sheetId" | "isStarted"> | undefined,
  pointIds: string[],
): void {
  begin(workOrderId, sheet);
  sendCommand(workOrderId, { type: "gradeRest", pointIds });
}

function begin(workOrderId: string, sheet: Pick<SheetAtHand, "sheetId" | "isStarted"> | undefined): void {
  if (sheet && !sheet.isStarted) sendCommand(workOrderId, { type: "startSheet", sheetId: sheet.sheetId });
}

/** Puts back how a point stood. */
export function putBack(
  workOrderId: string,
  pointId: string,
  before: Finding | undefined,
  now: Finding | undefined,
): void {
  if (before === undefined) return sendCommand(workOrderId, { type: "ungradePoint", pointIds: [pointId] });
  const { grade, measures, note } = before;
  sendCommand(workOrderId, { type: "gradePoint", pointId, grade, measures, note, over: now?.at ?? null });
}

/** A measurement with the grade it speaks for; what the mechanic graded worse stays as bad. */
export function measured(
  point: InspectionPoint,
  before: Finding | undefined,
  key: string,
  value: number,
  on: MeasuredOn,
): Given {
  const measures = { ...before?.measures, [key]: value };
  return { grade: gradeFromMeasures(point, measures, on) ?? before?.grade ?? "sound", measures };
}

/**
 * The mildest grade a point can be given with what was measured: what the law or the car's own limit calls unsafe is not
 * graded otherwise. null: any.
 */
export function mildest(point: InspectionPoint, before: Finding | undefined, on: MeasuredOn): Grade | null {
  const spoken = gradeFromMeasures(point, before?.measures ?? {}, on);
  return spoken === "unsafe" ? spoken : null;
}

/** Whether, with this measurement taken, nothing more of the point is asked for: the next one comes by itself. */
export function isDoneBy(point: InspectionPoint, key: string, given: Given): boolean {
  if (isBad(given.grade) || point.isPhotoMust) return false;
  const taken = given.measures ?? {};
  if (point.measures.some((each) => each.isMust && taken[each.key] === undefined)) return false;
  const place = point.measures.findIndex((each) => each.key === key);
  const [now, next] = [point.measures[place], point.measures[place + 1]];
  // What is measured in a row, as the tread across a tire, is measured to its end.
  return next?.kind !== now?.kind || now?.kind === "other";
}

/** Whether a measure that must be is missing. */
export function missesMeasure(point: InspectionPoint, finding: Finding | undefined): boolean {
  return point.measures.some(({ key, isMust }) => isMust && finding?.measures[key] === undefined);
}

/** Whether what was begun to be measured is measured to its end, as the tread across a tire. */
export function isMeasuredToItsEnd(point: InspectionPoint, finding: Finding): boolean {
  if (missesMeasure(point, finding)) return false;
  const begun = new Set(
    point.measures.filter(({ key }) => finding.measures[key] !== undefined).map(({ kind }) => kind),
  );
  return !point.measures.some(
    ({ key, kind }) => kind !== "other" && begun.has(kind) && finding.measures[key] === undefined,
  );
}
