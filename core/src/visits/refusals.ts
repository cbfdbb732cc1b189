export const VISIT_REFUSALS = {
  "visit/not-found": "This visit is not there. Nothing was changed.",
  "visit/exists": "This visit was booked already. It was kept as it is.",
  "visit/over": "This visit is over. Book a new one.",
  "visit/ends-before-start": "The visit ends before it starts. Pick a later end.",
  "visit/too-long": "A visit lasts a day at most. Pick an earlier end, or book several.",
  "visit/overlaps": "The mechanic has another visit then. Pick another time, or book it anyway.",
  "visit/locked": "This visit is locked to its time. Nothing was moved; unlock it first.",
  "visit/held": "Somebody else is offering this time to a customer. Pick another time, or book it anyway.",
  "visit/too-many-cars": "One trip takes 20 cars at most. Nothing was changed; book another visit for the rest.",
  "visit/last-car": "It is the only car of this visit. Nothing was changed; call the visit off instead.",
  "visit/no-work-order":
    "A work order of this visit is not kept here. Nothing was booked; open it again from the list.",
  "visit/no-mechanic": "Nobody with that id drives to customers. Nothing was booked; pick a mechanic.",
} as const;
export type VisitRefusal = keyof typeof VISIT_REFUSALS;
