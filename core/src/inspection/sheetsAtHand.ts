import type { CarFacts } from "../laborGuide/carFacts";
import type { QuoteSlice } from "../quoting/slice";
import { appliesTo } from "./appliesTo";
import type { InspectionPoint } from "./point";
import type { InspectionSheet, StartedSheet } from "./sheet";
import type { Finding, InspectionSlice } from "./slice";

/** What the owner set about inspections. */
export interface InspectionLists {
  inspection: readonly InspectionPoint[];
  sheets: readonly InspectionSheet[];
}

/** What was checked on the car before, on other work orders. */
export interface CheckedBefore {
  /** Sheets that were closed, the newest of each. */
  sheets: readonly { sheetId: string; at: string; miles: number | null }[];
  /** Visits of before to the car. */
  visits: number;
  /** What was measured, oldest first; the first of them is as far back as the car is known. */
  measures: readonly { odometer: number }[];
}

/** A sheet there is to run: one that was begun, or comes by itself. */
export interface SheetAtHand extends Pick<StartedSheet, "sheetId" | "title" | "closedAt" | "closedBy"> {
  points: readonly InspectionPoint[];
  isStarted: boolean;
}

type State = Pick<InspectionSlice, "sheets" | "sheetsLeftOut" | "odometerMiles"> & Pick<QuoteSlice, "jobs">;

/**
 * The sheets of a work order: those begun, as they were then, and after them those that come by the owner's rules.
 *
 * @param before - null: nothing is known of the car's past; then no rule that asks for it holds.
 */
export function sheetsAtHand(state: State, lists: InspectionLists, before: CheckedBefore | null): SheetAtHand[] {
  const begun = state.sheets.map((sheet) => ({ ...sheet, isStarted: true }));
  const coming = lists.sheets
    .filter(({ id }) => !state.sheets.some(({ sheetId }) => sheetId === id) && !state.sheetsLeftOut.includes(id))
    .filter((sheet) => comesByItself(sheet, state, before))
    .map((sheet) => ({
      sheetId: sheet.id,
      title: sheet.title,
      points: pointsOfSheet(sheet, lists.inspection),
      closedAt: null,
      closedBy: null,
      isStarted: false,
    }));
  return [...begun, ...coming];
}

/** The points of a sheet in its order; those taken off every sheet are left out. */
export function pointsOfSheet(
  { pointIds }: Pick<InspectionSheet, "pointIds">,
  points: readonly InspectionPoint[],
): InspectionPoint[] {
  const byId = new Map(points.map((point) => [point.id, point]));
  return pointIds.flatMap((id) => {
    const point = byId.get(id);
    return point && !point.isRetired ? [point] : [];
  });
}

function comesByItself({ id, comes }: InspectionSheet, state: State, before: CheckedBefore | null): boolean {
  if (comes.always) return true;
  if (comes.firstVisit && before?.visits === 0) return true;
  if (state.jobs.some(({ libraryJobId }) => libraryJobId !== null && comes.libraryJobIds.includes(libraryJobId)))
    return true;
  const miles = state.odometerMiles?.value ?? null;
  if (comes.everyMiles === null || before === null || miles === null) return false;
  const last = before.sheets.find(({ sheetId }) => sheetId === id);
  const since = last ? last.miles : (before.measures[0]?.odometer ?? null);
  return since !== null && miles - since >= comes.everyMiles;
}

/** The points there are to look at, each once: of the sheets that are not closed, those for the car. */
export function pointsAtHand(sheets: readonly SheetAtHand[], facts: CarFacts): InspectionPoint[] {
  const found = new Map<string, InspectionPoint>();
  for (const { points, closedAt } of sheets)
    if (closedAt === null) for (const point of points) if (!found.has(point.id)) found.set(point.id, point);
  return [...found.values()].filter((point) => appliesTo(point, facts));
}

/** What of a point is still missing: its grade, a measure or a photo that must be. */
export type PointNeed = "grade" | "measure" | "photo";

/** @param photos - how many there are of the point. @returns null: it is done. */
export function needOfPoint(point: InspectionPoint, finding: Finding | undefined, photos: number): PointNeed | null {
  if (finding?.grade === "skipped") return null;
  if (!finding) return "grade";
  if (point.measures.some(({ key, isMust }) => isMust && finding.measures[key] === undefined)) return "measure";
  return point.isPhotoMust && photos === 0 ? "photo" : null;
}

/** The points that still miss something, in their order. */
export function openPoints(
  points: readonly InspectionPoint[],
  findings: readonly Finding[],
  photosOf: (pointId: string) => number,
): InspectionPoint[] {
  const byPoint = new Map(findings.map((each) => [each.pointId, each]));
  return points.filter((point) => needOfPoint(point, byPoint.get(point.id), photosOf(point.id)) !== null);
}

/** Points one word can make sound together: not looked at, and without anything that must be measured or photographed. */
export function restThatCanBeSound(
  points: readonly InspectionPoint[],
  findings: readonly Finding[],
): InspectionPoint[] {
  const graded = new Set(findings.map(({ pointId }) => pointId));
  return points.filter(
    ({ id, measures, isPhotoMust }) => !graded.has(id) && !isPhotoMust && !measures.some(({ isMust }) => isMust),
  );
}

/** A point by its id: as its sheet had it when it was begun, else as the owner has it now. */
export function pointById(
  id: string,
  state: Pick<InspectionSlice, "sheets">,
  points: readonly InspectionPoint[],
): InspectionPoint | undefined {
  for (const { points: begun } of state.sheets) {
    const found = begun.find((point) => point.id === id);
    if (found) return found;
  }
  return points.find((point) => point.id === id);
}
