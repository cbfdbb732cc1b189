export const INSPECTION_REFUSALS = {
  "point/not-found": "That point is not on the inspection list. Load the page again.",
  "odometer/not-found": "That reading is not there any more. What stands there now was left as it is.",
  "photo/not-found": "That photo is gone already.",
  "photo/too-many":
    "This point has as many photos as it can hold. Take one off first; the photo is still on this device.",
} as const;
export type InspectionRefusal = keyof typeof INSPECTION_REFUSALS;
