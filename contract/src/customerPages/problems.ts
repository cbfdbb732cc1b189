/** Codes of this area's problems, with the status each comes with. */
export const CUSTOMER_PAGE_PROBLEMS = {
  "page/not-found": 404,
  "page/ended": 410,
  "page/not-proven": 403,
  "page/no-way": 409,
  "page/code-wrong": 401,
  "page/code-over": 410,
  "page/too-late": 409,
  "page/photos-enough": 409,
  "page/quote-changed": 409,
  "page/quote-over": 410,
  "page/may-not-agree": 403,
  "page/begun": 409,
} as const;
