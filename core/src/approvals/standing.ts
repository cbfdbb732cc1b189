import { oncePerQuote } from "../quoting/oncePerQuote";
import type { Answer, Job, QuoteSlice } from "../quoting/slice";
import { yesChange } from "./yesChange";

/**
 * The answer that still holds: a yes holds for the price, the parts and the payer it was given for, as far as the owner's
 * tolerance goes, and where nobody else has to agree; a later or a no until something is asked anew.
 *
 * @returns null when the customer has to be asked (again).
 */
export function standingAnswer(quote: QuoteSlice, job: Job): Answer | null {
  const { answer } = job;
  if (answer?.value !== "yes") return answer?.value ?? null;
  if (answer.needsAlso !== undefined) return null;
  const change = yesChange(quote, job);
  return change === null || change.isTolerated ? "yes" : null;
}

/** The jobs whose yes stands. */
export const approvedJobs = oncePerQuote((quote) => jobsAnswered(quote, "yes"));

/** The jobs the customer has to be asked about. */
export const openJobs = oncePerQuote((quote) => jobsAnswered(quote, null).filter(isAsked));

/** Whether the customer is asked about a job: one with nothing in it yet is not, one that is finished is no more. */
export function isAsked({ lines, finishedAt }: Pick<Job, "lines" | "finishedAt">): boolean {
  return lines.length > 0 && finishedAt === null;
}

function jobsAnswered(quote: QuoteSlice, wanted: Answer | null): Job[] {
  return quote.jobs.filter((job) => standingAnswer(quote, job) === wanted);
}
