/** Codes of this area's problems, with the status each comes with. */
export const REQUEST_VISIT_PROBLEMS = {
  "ask/page-not-found": 404,
  "ask/closed": 409,
  "ask/too-many": 429,
  "ask/time-gone": 409,
  "ask/terms-changed": 409,
  "visit-request/not-found": 404,
  "visit-request/taken": 409,
  "visit-request/time-gone": 409,
  "slug/taken": 409,
} as const;
