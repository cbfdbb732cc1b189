export const ARRIVAL_REFUSALS = {
  "mark/not-found": "That mark was taken off already. The others are as they were.",
  "mark/signed": "The customer signed these marks, so they stay. Add another one beside it.",
  "mark/too-many": "Sixty marks are on the drawing already. This one was not added; take a photo instead.",
} as const;
export type ArrivalRefusal = keyof typeof ARRIVAL_REFUSALS;
