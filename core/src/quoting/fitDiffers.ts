import type { LaborGuide } from "../laborGuide/guide";
import { Refusal } from "../commands/refusal";
import type { LibraryJob } from "./libraryJob";
import type { JobFit } from "./fitJob";
import { refitJob } from "./quoteChanges";
import type { QuoteSlice } from "./slice";

/**
 * Whether a job of the quote would come out otherwise if it were fitted now: the library has changed it, or more is known
 * of the car. One that was answered or finished is left alone.
 */
export function fitDiffers(
  state: Pick<QuoteSlice, "jobs" | "rules">,
  jobId: string,
  fit: JobFit,
  library: readonly LibraryJob[],
  guide: LaborGuide | undefined,
): boolean {
  const job = state.jobs.find(({ id }) => id === jobId);
  if (!job?.fit || job.answer !== null || job.finishedAt !== null) return false;
  // Without the guide its hours would go back to the library's.
  if (!guide) return false;
  try {
    const command = { type: "refitJob" as const, jobId, fit: { ...fit, positions: [...fit.positions] } };
    const after = refitJob(state, command, { library, guide }).jobs.find(({ id }) => id === jobId);
    return after !== undefined && written({ ...after, fit: null }) !== written({ ...job, fit: null });
  } catch (error) {
    // The library has it no more, or there is nothing to do on this car: it stays as it was given.
    if (error instanceof Refusal) return false;
    throw error;
  }
}

/** The same for the same, whatever order its fields came in. */
function written(value: unknown): string {
  return JSON.stringify(value, (_, each: unknown) =>
    each !== null && typeof each === "object" && !Array.isArray(each)
      ? Object.fromEntries(Object.entries(each).sort(([a], [b]) => (a < b ? -1 : 1)))
      : each,
  );
}
