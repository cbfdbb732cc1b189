import type { LibraryJob } from "./libraryJob";
import type { QuoteSlice } from "./slice";

/** What to offer with a job: its own companions that are in the library and not on the quote; theirs are theirs to offer. */
export function companionsOf(
  job: LibraryJob,
  library: readonly LibraryJob[],
  { jobs }: Pick<QuoteSlice, "jobs">,
): LibraryJob[] {
  return library.filter(
    ({ id, brings }) =>
      id !== job.id &&
      brings.length === 0 &&
      job.companions.includes(id) &&
      !jobs.some(({ libraryJobId }) => libraryJobId === id),
  );
}
