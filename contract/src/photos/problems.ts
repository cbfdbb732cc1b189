/** Codes of this area's problems, with the status each comes with. */
export const PHOTO_PROBLEMS = {
  "photo/not-found": 404,
  "photo/unreadable": 422,
  "photo/too-long": 422,
  "photo/damaged": 500,
} as const;
