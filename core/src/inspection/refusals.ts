export const INSPECTION_REFUSALS = {
  "point/not-found": "That point is not on the inspection list. Load the page again.",
  "sheet/not-found": "That sheet is not kept any more. What was found stands; take another one out.",
  "finding/not-found": "Nothing is graded there any more. The rest is unchanged.",
  "odometer/not-found": "That reading is not there any more. What stands there now was left as it is.",
} as const;
export type InspectionRefusal = keyof typeof INSPECTION_REFUSALS;
