/** Codes of this area's problems, with the status each comes with. */
export const CUSTOMER_PROBLEMS = {
  "customer/not-found": 404,
  "customer/kept-already": 409,
  "customer/merge-with-itself": 409,
  "customer/work-open": 409,
  "customer/erased": 409,
  "merge/not-found": 404,
  "merge/too-late": 409,
  "merge/undone": 409,
  "directory/unreachable": 503,
  "postcode/unreachable": 503,
  "address/unreachable": 503,
} as const;
