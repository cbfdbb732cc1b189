/** Codes of this area's problems, with the status each comes with. */
export const WORK_ORDER_PROBLEMS = {
  "work-order/not-found": 404,
  "command/id-reused": 409,
  "command/refused": 409,
} as const;
