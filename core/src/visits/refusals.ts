export const VISIT_REFUSALS = {
  "visit/not-found": "This visit is not there. Nothing was changed.",
  "visit/exists": "This visit was booked already. It was kept as it is.",
  "visit/over": "This visit is over. Book a new one.",
  "visit/ends-before-start": "The visit ends before it starts. Pick a later end.",
  "visit/too-long": "A visit lasts a day at most. Pick an earlier end, or book several.",
  "visit/overlaps": "The mechanic has another visit then. Pick another time, or book it anyway.",
  "visit/no-work-order":
    "A work order of this visit is not kept here. Nothing was booked; open it again from the list.",
  "visit/no-mechanic": "Nobody with that id drives to customers. Nothing was booked; pick a mechanic.",
} as const;
export type VisitRefusal = keyof typeof VISIT_REFUSALS;
