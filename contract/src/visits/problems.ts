/** Codes of this area's problems, with the status each comes with. */
export const VISIT_PROBLEMS = {
  "visit/not-found": 404,
  "time/taken": 409,
  "ask/not-found": 404,
  "ask/over": 409,
  "calendar/not-found": 404,
  "calendar/unreadable": 422,
  "mechanic/not-found": 404,
  "repeat/unreadable": 422,
  "weather/unreachable": 503,
} as const;
