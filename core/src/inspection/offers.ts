import { axleOf, type Position } from "../laborGuide/position";
import { isWholeOrder } from "../quoting/broughtJobs";
import { positionsOfJob, type LibraryJob } from "../quoting/libraryJob";
import type { Concern } from "../concerns/slice";
import type { Job, QuoteSlice } from "../quoting/slice";
import type { InspectionPoint } from "./point";
import { BAD_GRADES, type Finding, type InspectionSlice } from "./slice";

type Jobs = Pick<QuoteSlice, "jobs">;

/** A job that would cure bad points or answer a concern, and is not on the quote. */
export interface Offer {
  libraryJob: LibraryJob;
  /** Findings it cures, the worst first. */
  pointIds: string[];
  concernId: string | null;
}

/** Jobs offered for bad points, of the worst first; a job that cures several is offered once, with all of them. */
export function offersForFindings(
  state: Jobs & Pick<InspectionSlice, "findings">,
  library: readonly LibraryJob[],
): Offer[] {
  const offers = new Map<string, Offer>();
  for (const { pointId } of worstFirst(state.findings))
    for (const libraryJob of library) {
      if (!libraryJob.curesPoints.includes(pointId) || !isOffered(state, libraryJob)) continue;
      const there = offers.get(libraryJob.id);
      if (there) there.pointIds.push(pointId);
      else offers.set(libraryJob.id, { libraryJob, pointIds: [pointId], concernId: null });
    }
  return [...offers.values()];
}

/** Bad findings, the worst first. */
export function worstFirst(findings: readonly Finding[]): Finding[] {
  return BAD_GRADES.flatMap((grade) => findings.filter((each) => each.grade === grade));
}

/** Jobs on the quote that would cure a finding and are not tied to it yet. */
export function jobsToTie(state: Jobs, pointId: string, library: readonly LibraryJob[]): Job[] {
  const curing = new Set(library.filter((job) => job.curesPoints.includes(pointId)).map(({ id }) => id));
  return state.jobs.filter(
    ({ libraryJobId, pointIds }) => libraryJobId !== null && curing.has(libraryJobId) && !pointIds.includes(pointId),
  );
}

/**
 * Where a job would be done to cure some findings: at their places, or at both of the axle where it is done there;
 * empty: nothing is to be chosen, or the findings have no place.
 *
 * @param points - of the findings it cures.
 */
export function positionsOfCure(job: LibraryJob, points: readonly Pick<InspectionPoint, "position">[]): Position[] {
  const possible = positionsOfJob(job);
  const found = new Set(points.flatMap(({ position }) => position ?? []));
  const meant = possible.filter((position) => found.has(position));
  if (meant.length > 0 || found.size === 0) return meant;
  // Found on one side, done by the axle: at both of it.
  const axles = new Set([...found].map(axleOf));
  return possible.filter((position) => axles.has(axleOf(position)));
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
        .map((libraryJob) => ({ libraryJob, pointIds: [], concernId: id })),
    );
}

/** A whole order is no cure of one thing, and is not offered as one. */
function isOffered(state: Jobs, libraryJob: LibraryJob): boolean {
  return !isWholeOrder(libraryJob) && !state.jobs.some(({ libraryJobId }) => libraryJobId === libraryJob.id);
}
