/** Codes of this area's problems, with the status each comes with. */
export const MESSAGE_PROBLEMS = {
  "message/not-found": 404,
  "message/settled": 409,
  "message/no-way": 409,
  "message/refused": 409,
  "message/no-reach": 422,
  "messenger/not-known": 401,
} as const;
