/** Every code a calculation can answer bad input with; docs/calc.md explains each. */
export const CALC_ERROR_CODES = [
  "not-json",
  "unknown-calculation",
  "unknown-key",
  "missing",
  "wrong-type",
  "not-whole",
  "too-many-decimals",
  "negative",
  "out-of-range",
  "duplicate-id",
  "unknown-reference",
  "not-allowed",
  "unreadable",
] as const;
export type CalcErrorCode = (typeof CALC_ERROR_CODES)[number];

/** Bad input to a calculation: a stable code, words for a person, and where it is, like `jobs[0].lines[2].price`. */
export class CalcError extends Error {
  constructor(
    readonly code: CalcErrorCode,
    message: string,
    readonly path: string,
  ) {
    super(message);
    this.name = "CalcError";
  }
}

/** Writes a path the way errors name it. @example formatPath(["jobs", 0, "id"]) //=> "jobs[0].id" */
export function formatPath(path: readonly PropertyKey[]): string {
  return path.reduce<string>((text, key) => {
    if (typeof key === "number") return `${text}[${key}]`;
    return text === "" ? String(key) : `${text}.${String(key)}`;
  }, "");
}
