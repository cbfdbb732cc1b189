import type { ConcernAnswer } from "@mechanon/core";

/** What became of a concern, a line each. */
export function concernAnswerWords({ outcome, cause, correction, reason }: ConcernAnswer): string[] {
  switch (outcome) {
    case "found":
      return [`Cause: ${cause}`, ...(correction === "" ? [] : [`Correction: ${correction}`])];
    case "noFault":
      return [`No fault found: ${reason}`];
    case "setAside":
      return [`Set aside: ${reason}`];
  }
}
