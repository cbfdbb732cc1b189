/** Codes of this area's problems, with the status each comes with. */
export const SOURCING_PROBLEMS = {
  "parts/nothing-to-order": 409,
  "parts/being-ordered": 409,
  "parts/no-supplier": 404,
  "parts/offer-changed": 409,
  "parts/supplier-unreachable": 503,
  "parts/supplier-refused": 409,
} as const;
