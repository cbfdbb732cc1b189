/** Codes of this area's problems, with the status each comes with. */
export const TRANSFER_PROBLEMS = {
  "import/not-found": 404,
  "import/unreadable": 422,
  "import/not-now": 409,
} as const;
