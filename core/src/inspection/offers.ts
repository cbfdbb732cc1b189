import { isWholeOrder } from "../quoting/broughtJobs";
import type { LibraryJob } from "../quoting/libraryJob";
import type { Concern } from "../concerns/slice";
import type { QuoteSlice } from "../quoting/slice";
import type { InspectionSlice } from "./slice";

type Jobs = Pick<QuoteSlice, "jobs">;

/** A job that would cure a bad point or answer a concern, and is not on the quote. */
export interface Offer {
  libraryJob: LibraryJob;
  pointId: string | null;
  concernId: string | null;
}

/** Jobs offered for points graded `act` or `watch`, worst first. */
export function offersForFindings(
  state: Jobs & Pick<InspectionSlice, "findings">,
  library: readonly LibraryJob[],
): Offer[] {
  const urgency = { act: 0, watch: 1, sound: 2, skipped: 3 };
  return state.findings
    .filter(({ grade }) => grade === "act" || grade === "watch")
    .sort((a, b) => urgency[a.grade] - urgency[b.grade])
    .flatMap(({ pointId }) =>
      library
        .filter((job) => job.curesPoints.includes(pointId) && isOffered(state, job))
        .map((libraryJob) => ({ libraryJob, pointId, concernId: null })),
    );
}

/** Jobs offered for concerns that nothing on the quote answers yet. */
export function offersForConcerns(
  state: Jobs & { concerns: readonly Pick<Concern, "id" | "phraseId">[] },
  library: readonly LibraryJob[],
): Offer[] {
  return state.concerns
    .filter((concern) => !state.jobs.some((job) => job.concernId === concern.id))
    .flatMap(({ id, phraseId }) =>
      library
        .filter((job) => phraseId !== null && job.answersConcerns.includes(phraseId) && isOffered(state, job))
        .map((libraryJob) => ({ libraryJob, pointId: null, concernId: id })),
    );
}

/** A whole order is no cure of one thing, and is not offered as one. */
function isOffered(state: Jobs, libraryJob: LibraryJob): boolean {
  return !isWholeOrder(libraryJob) && !state.jobs.some(({ libraryJobId }) => libraryJobId === libraryJob.id);
}
