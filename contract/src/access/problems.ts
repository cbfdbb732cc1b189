/** Codes of this area's problems, with the status each comes with. */
export const ACCESS_PROBLEMS = {
  "session/missing": 401,
  "session/wrong-password": 401,
  "session/too-many-tries": 429,
  "session/of-another": 409,
  "rights/missing": 403,
} as const;
