import { offersForConcerns } from "../inspection/offers";
import type { JobCondition } from "../places/conditions";
import type { Concern } from "../concerns/slice";
import type { LibraryJob } from "../quoting/libraryJob";
import type { Job, QuoteSlice } from "../quoting/slice";
import { nothingArranged, type Arranged } from "../visits/arranged";
import type { CallRule, VisitSettings } from "../visits/visitSettings";

const GRID_MINUTES = 15;

/** What a visit is for. */
export interface VisitWork {
  jobs: QuoteSlice["jobs"];
  concerns: readonly Pick<Concern, "id" | "phraseId">[];
}

/** What a visit takes. */
export interface VisitNeeds {
  /** Whole quarter hours, set-up included; null: nothing tells. */
  minutes: number | null;
  skills: string[];
  /** What the van must carry. */
  carries: string[];
  /** What the place and the day must have, with the jobs that want it. */
  conditions: { condition: JobCondition; jobs: string[] }[];
  /** As soon as somebody can. */
  isUrgent: boolean;
}

/**
 * What a visit takes: the labor of its jobs, and of what the library has for concerns that no job answers yet, with the
 * set-up and what the answers at the call bring; the skills and conditions the library asks for. Finished and declined
 * jobs take nothing.
 */
export function needsOfVisit(
  { jobs, concerns }: VisitWork,
  library: readonly LibraryJob[],
  settings: Pick<VisitSettings, "setUpMinutes" | "callRules">,
  agreed: Arranged = nothingArranged(),
): VisitNeeds {
  const open = jobs.filter(isOpen);
  const offered = offersForConcerns({ jobs, concerns }, library)
    .filter(isFirstOfConcern)
    .map((offer) => offer.libraryJob);
  const hours = [...open, ...offered]
    .flatMap(({ lines }) => lines)
    .reduce((sum, line) => sum + (line.kind === "labor" ? line.hours : 0), 0);
  const rules = settings.callRules.filter(({ question, on }) => agreed[question] === on);
  const more = rules.reduce((sum, { minutes }) => sum + minutes, 0);
  const minutes = Math.ceil((hours * 60 + settings.setUpMinutes + more) / GRID_MINUTES - 1e-9) * GRID_MINUTES;
  const wanted = [...open.flatMap((job) => libraryJobOf(job, library) ?? []), ...offered];
  return {
    minutes: hours === 0 ? null : minutes,
    skills: unique([...wanted.flatMap(({ needs }) => needs.skill ?? []), ...rules.flatMap(({ skill }) => skill ?? [])]),
    carries: unique(wanted.flatMap(({ needs }) => needs.carries ?? [])),
    conditions: conditionsOf(wanted),
    isUrgent: rules.some((rule: CallRule) => rule.isUrgent),
  };
}

function isOpen({ finishedAt, answer }: Job): boolean {
  return finishedAt === null && (answer?.value ?? "yes") === "yes";
}

/** The library has several for some concerns; one of them will be done. */
function isFirstOfConcern(
  { concernId }: { concernId: string | null },
  index: number,
  all: readonly { concernId: string | null }[],
): boolean {
  return all.findIndex((other) => other.concernId === concernId) === index;
}

function libraryJobOf({ libraryJobId }: Job, library: readonly LibraryJob[]): LibraryJob | undefined {
  return library.find(({ id }) => id === libraryJobId);
}

function conditionsOf(jobs: readonly LibraryJob[]): VisitNeeds["conditions"] {
  return unique(jobs.flatMap(({ needs }) => needs.place)).map((condition) => ({
    condition,
    jobs: unique(jobs.filter(({ needs }) => needs.place.includes(condition)).map(({ title }) => title)),
  }));
}

function unique<T>(all: readonly T[]): T[] {
  return [...new Set(all)];
}
