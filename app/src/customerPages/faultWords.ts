import { say, sayFault, type Language } from "@mechanon/core";
import { ApiProblem, Unreachable } from "../api/problem";

/** What a customer reads of an error: in their language, by its code. */
export function faultWords(language: Language, error: unknown): string {
  if (error instanceof Unreachable) return say(language, "fault.offline");
  return (
    (error instanceof ApiProblem ? sayFault(language, error.problem.code) : null) ?? say(language, "fault.unknown")
  );
}

/** Whether an error is of this code. */
export function isFault(error: unknown, code: string): boolean {
  return error instanceof ApiProblem && error.problem.code === code;
}
