export const INSPECTION_REFUSALS = {
  "point/not-found": "That point is not on the inspection list. Load the page again.",
  "photo/not-found": "That photo is gone already.",
} as const;
export type InspectionRefusal = keyof typeof INSPECTION_REFUSALS;
