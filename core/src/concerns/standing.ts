import type { Job } from "../quoting/slice";
import type { Concern } from "./slice";

/** How a concern stands: a person said what became of it, a job on the quote is for it, or it is open. */
export type ConcernStanding = "answered" | "onQuote" | "open";

export function concernStanding(
  { id, answer }: Pick<Concern, "id" | "answer">,
  jobs: readonly Pick<Job, "concernId">[],
): ConcernStanding {
  if (answer) return "answered";
  return jobs.some(({ concernId }) => concernId === id) ? "onQuote" : "open";
}

/**
 * Concerns nobody answered: a wish is answered by its job, a fault by a person who says what it was.
 */
export function openConcerns(concerns: readonly Concern[], jobs: readonly Pick<Job, "concernId">[]): Concern[] {
  return concerns.filter((concern) => {
    const standing = concernStanding(concern, jobs);
    return standing === "open" || (standing === "onQuote" && concern.kind === "fault");
  });
}

/** How many concerns nobody answered though the car was looked at: what lists say. */
export function concernsLeftOpen({
  concerns,
  jobs,
  findings,
}: {
  concerns: readonly Concern[];
  jobs: readonly Pick<Job, "concernId">[];
  findings: readonly unknown[];
}): number {
  return findings.length === 0 ? 0 : openConcerns(concerns, jobs).length;
}
