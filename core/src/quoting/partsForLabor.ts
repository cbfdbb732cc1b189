import type { LaborGuide } from "../laborGuide/guide";
import { fitJob, type JobFit } from "./fitJob";
import type { LibraryJob } from "./libraryJob";
import { partName } from "./partName";
import type { LaborLine, PartLine } from "./quoteLine";
import type { Job } from "./slice";

/** A part that goes with labor, as the library keeps it. */
export interface PartForLabor {
  libraryJobId: string;
  /** As it would be on this car; its id is the library's. */
  line: PartLine;
}

/**
 * Parts the library's jobs need with the same operations of the guide, fitted to the car; what the job has already is left
 * out, and of parts of one name there is the first.
 */
export function partsForLabor(
  { operations = [] }: Pick<LaborLine, "operations">,
  { lines }: Pick<Job, "lines">,
  library: readonly LibraryJob[],
  fit: JobFit,
  guide: LaborGuide | undefined,
): PartForLabor[] {
  const has = new Set(lines.flatMap((line) => (line.kind === "part" ? [nameOf(line)] : [])));
  return library
    .filter(({ fits }) => fits.some((each) => each.operations.some((id) => operations.includes(id))))
    .flatMap((job) => {
      const fitted = fitJob(job, fit, guide);
      return fitted.doesNotApply ? [] : fitted.lines.map((line) => ({ libraryJobId: job.id, line }));
    })
    .flatMap(({ libraryJobId, line }): PartForLabor[] => {
      if (line.kind !== "part" || has.has(nameOf(line))) return [];
      has.add(nameOf(line));
      return [{ libraryJobId, line }];
    });
}

const nameOf = ({ description }: PartLine): string => partName(description).toLowerCase();
