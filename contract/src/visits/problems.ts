/** Codes of this area's problems, with the status each comes with. */
export const VISIT_PROBLEMS = {
  "visit/not-found": 404,
} as const;
