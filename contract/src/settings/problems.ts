/** Codes of this area's problems, with the status each comes with. */
export const SETTINGS_PROBLEMS = {
  "library/no-such-job": 404,
  "library/no-such-change": 404,
  "library/does-not-fit": 422,
  "list/too-long": 409,
  "inspection/limits": 422,
  "inspection/no-such-sheet": 404,
} as const;
