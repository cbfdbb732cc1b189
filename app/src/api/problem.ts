import type { Problem } from "@mechanon/contract";

/** The server's answer when it could not do a thing. */
export class ApiProblem extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
    this.name = "ApiProblem";
  }
}

/** The server could not be reached at all; what was done on the device is kept. */
export class Unreachable extends Error {
  constructor(cause: unknown) {
    super("No connection to the server. What you did is kept on this device; try again when there is signal.", {
      cause,
    });
    this.name = "Unreachable";
  }
}

/** What a person reads about an error. */
export function errorWords(error: unknown): string {
  return error instanceof ApiProblem || error instanceof Unreachable
    ? error.message
    : "Something went wrong on this device. Load the page again; what you did is kept.";
}

/** The fault of one field, where the server named it. */
export function fieldFaults(error: unknown): Record<string, string> {
  if (!(error instanceof ApiProblem)) return {};
  return Object.fromEntries((error.problem.fields ?? []).map(({ path, message }) => [path, message]));
}
