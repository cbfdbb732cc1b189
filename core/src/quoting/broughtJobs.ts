import { fitJob, type JobFit } from "./fitJob";
import type { LaborGuide } from "../laborGuide/guide";
import { usualPositions, type LibraryJob } from "./libraryJob";
import type { QuoteSlice } from "./slice";

/** What a whole order would put on a quote. */
export interface BroughtJobs {
  jobs: { job: LibraryJob; fit: JobFit }[];
  /** What there is nothing to do for on this car. */
  doNotApply: LibraryJob[];
  /** What is on the quote already. */
  there: LibraryJob[];
}

/**
 * The jobs a whole order brings to a quote, each fitted to the car. Those that are in the library no more are passed over,
 * and so is an order in an order.
 */
export function broughtJobs(
  { brings }: LibraryJob,
  library: readonly LibraryJob[],
  { facts, guide, quote, isAfterHours }: BroughtTo,
): BroughtJobs {
  const brought: BroughtJobs = { jobs: [], doNotApply: [], there: [] };
  for (const { libraryJobId, positions, variantId } of brings) {
    const job = library.find(({ id }) => id === libraryJobId);
    if (!job || isWholeOrder(job)) continue;
    const fit: JobFit = {
      facts,
      positions: positions.length > 0 ? positions : usualPositions(job),
      variantId,
      isAfterHours,
    };
    if (quote.jobs.some((each) => each.libraryJobId === job.id)) brought.there.push(job);
    else if (fitJob(job, fit, guide).doesNotApply) brought.doNotApply.push(job);
    else brought.jobs.push({ job, fit });
  }
  return brought;
}

interface BroughtTo {
  facts: JobFit["facts"];
  guide: LaborGuide | undefined;
  quote: Pick<QuoteSlice, "jobs">;
  isAfterHours: boolean;
}

/** Whether it is a whole order kept ready, not one job. */
export function isWholeOrder({ brings }: Pick<LibraryJob, "brings">): boolean {
  return brings.length > 0;
}
