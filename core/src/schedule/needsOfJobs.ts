import type { LibraryJob } from "../quoting/libraryJob";
import type { Job } from "../quoting/slice";

/** To find the place, set up and clear away. */
const SET_UP_MINUTES = 15;
const GRID_MINUTES = 15;

/** What a visit for some jobs takes. */
export interface VisitNeeds {
  /** Whole quarter hours, set-up included; null: no job tells. */
  minutes: number | null;
  skills: string[];
}

/** What jobs take: their labor with the set-up, and the skills the library asks for. Finished ones and declined ones take nothing. */
export function needsOfJobs(jobs: readonly Job[], library: readonly LibraryJob[]): VisitNeeds {
  const open = jobs.filter(({ finishedAt, answer }) => finishedAt === null && (answer?.value ?? "yes") === "yes");
  const hours = open
    .flatMap(({ lines }) => lines)
    .reduce((sum, line) => sum + (line.kind === "labor" ? line.hours : 0), 0);
  const minutes = Math.ceil((hours * 60 + SET_UP_MINUTES) / GRID_MINUTES - 1e-9) * GRID_MINUTES;
  const skills = open.flatMap(({ libraryJobId }) => library.find(({ id }) => id === libraryJobId)?.needs.skill ?? []);
  return { minutes: hours === 0 ? null : minutes, skills: [...new Set(skills)] };
}
