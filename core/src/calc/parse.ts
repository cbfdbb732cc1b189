import { z } from "zod";
import { CALC_ERROR_CODES, CalcError, formatPath, type CalcErrorCode } from "./error";

/**
 * Checks input against a schema.
 * @throws {CalcError} for the first thing that does not fit, with its code and path.
 */
export function parseInput<T>(schema: z.ZodType<T>, input: unknown): T {
  const result = schema.safeParse(input, { reportInput: true });
  if (result.success) return result.data;
  const [issue] = result.error.issues;
  if (!issue) throw new CalcError("wrong-type", "input does not fit", "");
  throw toCalcError(issue, []);
}

function toCalcError(issue: z.core.$ZodIssue, outer: PropertyKey[]): CalcError {
  const path = [...outer, ...issue.path];
  if (issue.code === "unrecognized_keys") {
    const key = issue.keys[0] ?? "";
    return new CalcError("unknown-key", `"${key}" is not a key this place knows`, formatPath([...path, key]));
  }
  const given = "input" in issue ? issue.input : undefined;
  if (issue.code === "custom") {
    const code = (CALC_ERROR_CODES as readonly unknown[]).includes(issue.params?.code)
      ? (issue.params?.code as CalcErrorCode)
      : "not-allowed";
    return new CalcError(code, `${formatPath(path)} ${issue.message}`, formatPath(path));
  }
  if (issue.code === "invalid_union" && "discriminator" in issue) {
    const key = String(issue.discriminator ?? "");
    const value = typeof given === "object" && given !== null ? (given as Record<string, unknown>)[key] : undefined;
    const keyPath = issue.path.at(-1) === key ? formatPath(path) : formatPath([...path, key]);
    if (value === undefined || value === null) return new CalcError("missing", `${keyPath} is missing`, keyPath);
    return new CalcError(
      typeof value === "string" ? "not-allowed" : "wrong-type",
      `${keyPath} is not one of the known kinds`,
      keyPath,
    );
  }
  if (given === undefined || given === null)
    return new CalcError("missing", `${formatPath(path)} is missing`, formatPath(path));
  if (issue.code === "invalid_value") {
    const sameType = issue.values.some((value) => typeof value === typeof given);
    return new CalcError(
      sameType ? "not-allowed" : "wrong-type",
      `${formatPath(path)} must be one of ${issue.values.join(", ")}`,
      formatPath(path),
    );
  }
  if (issue.code === "too_small" || issue.code === "too_big")
    return new CalcError("out-of-range", `${formatPath(path)}: ${issue.message}`, formatPath(path));
  return new CalcError("wrong-type", `${formatPath(path) || "input"}: ${issue.message}`, formatPath(path));
}
