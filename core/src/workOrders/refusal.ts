/** Why an intention was refused; the wording for people lives in `wording/refusals`. */
export const REFUSAL_CODES = [
  "work-order/not-found",
  "work-order/exists",
  "concern/not-found",
  "concern/answered",
  "job/not-found",
  "job/exists",
  "job/finished",
  "job/not-in-library",
  "job/lines-do-not-match",
  "line/not-found",
  "line/exists",
  "line/ordered",
  "line/figure-does-not-fit",
  "point/not-found",
  "photo/not-found",
  "conflict/not-found",
  "rights/change-prices",
  "visit/not-found",
  "visit/exists",
  "visit/over",
  "visit/ends-before-start",
  "visit/overlaps",
] as const;
export type RefusalCode = (typeof REFUSAL_CODES)[number];

export class Refusal extends Error {
  constructor(readonly code: RefusalCode) {
    super(code);
    this.name = "Refusal";
  }
}
