import { oncePerQuote } from "../quoting/oncePerQuote";
import type { Answer, Job, QuoteSlice } from "../quoting/slice";
import { jobTotals } from "../quoting/totals";

/**
 * The answer that still holds: a yes holds for the total it was given for, a later or a no until something is asked
 * anew.
 *
 * @param totalCents - what the job costs now.
 * @returns null when the customer has to be asked (again).
 */
export function standingAnswer(job: Job, totalCents: number): Answer | null {
  if (!job.answer) return null;
  return job.answer.value === "yes" && job.answer.totalCents !== totalCents ? null : job.answer.value;
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
  const totals = jobTotals(quote);
  return quote.jobs.filter((job) => standingAnswer(job, totals.get(job.id) ?? 0) === wanted);
}
