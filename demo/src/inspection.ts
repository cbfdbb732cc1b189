import { USUAL_POINTS, USUAL_SHEETS, type InspectionSheet } from "@mechanon/core";

/** When a sheet comes by itself here; the others wait to be taken out. */
const COMES: Readonly<Record<string, Partial<InspectionSheet["comes"]>>> = {
  full: { libraryJobIds: ["check-over"], everyMiles: 15_000 },
  beforeBuying: { libraryJobIds: ["pre-purchase"] },
  air: { libraryJobIds: ["ac-service"] },
  batteryAndCharging: { libraryJobIds: ["battery-test"] },
  electric: { libraryJobIds: ["battery-report"] },
};

/** What is looked at, and on which sheet. */
export const INSPECTION = [...USUAL_POINTS];
export const SHEETS = USUAL_SHEETS.map((sheet) => ({ ...sheet, comes: { ...sheet.comes, ...COMES[sheet.id] } }));
