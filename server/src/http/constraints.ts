import type { ProblemCode } from "@mechanon/contract";

/** What a unique constraint that stands in the way means to a person, by the constraint's name. */
export type ConstraintProblems = Readonly<Record<string, { code: ProblemCode; detail: string }>>;

/** Of a record that somebody made under an id that is another's. */
export const idTaken: ConstraintProblems[string] = {
  code: "request/id-taken",
  detail: "Something else is kept under this id already. Nothing was changed; load the page again.",
};
