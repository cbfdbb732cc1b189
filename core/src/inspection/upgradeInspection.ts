import { upgradePoint, type InspectionPoint } from "./point";
import { inspectionSheet, type InspectionSheet } from "./sheet";
import { USUAL_POINTS, USUAL_SHEETS } from "./usualSheets";

/**
 * Points and sheets as they were stored, brought forward: until there were sheets a business had one list, which was
 * gone through on every visit. It stays so as a sheet; those we ship come beside it, and wait to be taken out.
 */
export function upgradeInspection(
  points: readonly unknown[],
  sheets: readonly InspectionSheet[] | undefined,
): { inspection: InspectionPoint[]; sheets: InspectionSheet[] } {
  const own = points.map(upgradePoint);
  if (sheets !== undefined) return { inspection: own, sheets: sheets.map((sheet) => inspectionSheet.parse(sheet)) };
  const ownIds = new Set(own.map(({ id }) => id));
  const comesAlways = { always: true, firstVisit: false, libraryJobIds: [], everyMiles: null };
  const ownSheet = { id: "own", title: "Our list", pointIds: [...ownIds], comes: comesAlways };
  return {
    inspection: [...own, ...USUAL_POINTS.filter(({ id }) => !ownIds.has(id))],
    sheets: [
      ...(own.length > 0 ? [ownSheet] : []),
      ...USUAL_SHEETS.map((sheet) => ({
        ...sheet,
        comes: { ...sheet.comes, always: own.length === 0 && sheet.comes.always },
      })),
    ],
  };
}
