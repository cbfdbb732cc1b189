import type { LaborGuide } from "../laborGuide/guide";
import { keptFromQuote, type KeptAs } from "./keptFromQuote";
import { libraryJob, type LibraryJob } from "./libraryJob";
import type { Job } from "./slice";

/**
 * All jobs of a work order as one that is kept ready. Jobs the library does not have are kept with it.
 *
 * @param newId - an id for each job that is kept with it.
 * @returns what comes to the library, the order last; empty where there is no job.
 */
export function wholeOrderFromQuote(
  jobs: readonly Job[],
  keptAs: KeptAs,
  library: readonly LibraryJob[],
  guide: LaborGuide | undefined,
  newId: () => string,
): LibraryJob[] {
  const kept: LibraryJob[] = [];
  const brings = jobs.map((job) => {
    const template = library.find(({ id }) => id === job.libraryJobId);
    if (template)
      return {
        libraryJobId: template.id,
        positions: job.fit?.positions ?? [],
        variantId: job.fit?.variantId ?? null,
      };
    const own = keptFromQuote(job, { id: newId(), title: job.title, area: keptAs.area }, undefined, guide);
    kept.push(own);
    return { libraryJobId: own.id, positions: [], variantId: null };
  });
  if (brings.length === 0) return [];
  const once = brings.filter(
    ({ libraryJobId }, index) => brings.findIndex((other) => other.libraryJobId === libraryJobId) === index,
  );
  const { id, title, area } = keptAs;
  const order = libraryJob.parse({ id, title, area, curesPoints: [], answersConcerns: [], lines: [], brings: once });
  return [...kept, order];
}
