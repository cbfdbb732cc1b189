/** Codes of this area's problems, with the status each comes with. */
export const PAYMENT_PROBLEMS = {
  "receipt/not-found": 404,
  "receipt/link-ended": 410,
  "receipt/no-phone": 422,
  "receipt/texts-refused": 422,
  "payment/nothing-due": 409,
  "payment/amount-too-high": 409,
  "payment/terminal-unreachable": 503,
  "payment/given-up": 409,
} as const;
