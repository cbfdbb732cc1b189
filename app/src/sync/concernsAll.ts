import type { ApiProblem } from "../api/problem";

const CODES: readonly string[] = [
  "session/missing",
  "session/of-another",
  "request/too-often",
  "server/busy",
  "app/outdated",
];

/** Nobody is signed in, somebody else is, the app is too old, too much at once, nobody answers: the same for whatever is sent. */
export function concernsAll({ problem: { status, code } }: ApiProblem): boolean {
  return status === 503 || CODES.includes(code);
}
