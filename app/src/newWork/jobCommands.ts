import {
  lineAnew,
  fitJob,
  type ClientWorkOrderCommand,
  type Job,
  type LibraryJob,
  type QuoteLine,
} from "@mechanon/core";
import { usualFit } from "../jobLibrary/jobChoice";
import { wantedCommand, type WantedAround, type WantedJob } from "./wantedJob";

/** Concerns have the places before. */
const FIRST_JOB = 64;
const PLACES_PER_JOB = 64;
const MOST_JOBS = 60;

type AddJob = Extract<ClientWorkOrderCommand, { type: "addJob" }>;

/** Work a new work order begins with. */
export interface WorkBegun {
  wanted: readonly WantedJob[];
  /** Of a quote that is taken over. */
  copied: readonly Job[];
  /** Work put off that is taken along, by library job. */
  libraryJobIds: readonly string[];
  /** What of the concerns of the quote taken over stands here, by its id there; left out: nothing of it was said here. */
  concernsHere?: ReadonlyMap<string, string>;
}

/**
 * The commands that put jobs on a new work order: a library job as it is kept today, fitted to the car; another with its
 * lines; finished ones stay where they are.
 *
 * @param idAt - an id for each place, the same whenever it is asked.
 */
export function jobCommands(
  { wanted, copied, libraryJobIds, concernsHere }: WorkBegun,
  around: WantedAround,
  idAt: (place: number) => string,
): ClientWorkOrderCommand[] {
  const answersHere = (concernId: string | null | undefined): string | null =>
    concernsHere?.get(concernId ?? "") ?? null;
  const kept = (id: string | null): LibraryJob | undefined => around.library.find((job) => job.id === id);
  const isWanted = (id: string): boolean => wanted.some((job) => job.kind === "library" && job.libraryJobId === id);
  const own = copied.filter(({ finishedAt, libraryJobId }) => finishedAt === null && !kept(libraryJobId));
  const again = copied.filter(({ finishedAt }) => finishedAt === null);
  const fromLibrary = [...new Set([...again.map(({ libraryJobId }) => libraryJobId ?? ""), ...libraryJobIds])].flatMap(
    (id) => (isWanted(id) ? [] : (kept(id) ?? [])),
  );
  const fitOf = (job: LibraryJob): Pick<AddJob, "fit"> => {
    const before = again.find(({ libraryJobId }) => libraryJobId === job.id)?.fit;
    const usual = usualFit(job, around);
    const fit = before ? { ...usual, positions: before.positions, variantId: before.variantId } : usual;
    // What does not fit this car is for the quote to say.
    return fitJob(job, fit, around.guide).doesNotApply ? {} : { fit: { ...fit, positions: [...fit.positions] } };
  };
  const places = (job: number): number => FIRST_JOB + job * PLACES_PER_JOB;
  const first = wanted.flatMap((job) => wantedCommand(job, around) ?? []);
  const commands = fromLibrary.slice(0, MOST_JOBS).map((job, index): ClientWorkOrderCommand => ({
    type: "addJob",
    jobId: idAt(places(index)),
    libraryJobId: job.id,
    lineIds: job.lines.map((_, line) => idAt(places(index) + 1 + line)),
    concernId: answersHere(again.find(({ libraryJobId }) => libraryJobId === job.id)?.concernId),
    pointIds: [],
    ...fitOf(job),
  }));
  const added = fromLibrary.slice(0, MOST_JOBS).flatMap((job, index) =>
    linesAdded(
      again.find(({ libraryJobId }) => libraryJobId === job.id),
      job,
    )
      .slice(0, Math.max(0, PLACES_PER_JOB - 1 - job.lines.length))
      .map((line, place): ClientWorkOrderCommand => ({
        ...{ type: "addLine", jobId: idAt(places(index)) },
        line: lineAnew(line, idAt(places(index) + 1 + job.lines.length + place)),
      })),
  );
  const ownCommands = own
    .slice(0, MOST_JOBS - commands.length)
    .flatMap(({ title, lines, concernId }, index): ClientWorkOrderCommand[] => {
      const jobId = idAt(places(commands.length + index));
      return [
        { type: "addOwnJob", jobId, title, concernId: answersHere(concernId) },
        ...lines.slice(0, PLACES_PER_JOB - 1).map((line, place): ClientWorkOrderCommand => ({
          type: "addLine",
          jobId,
          line: lineAnew(line, idAt(places(commands.length + index) + 1 + place)),
        })),
      ];
    });
  return [...first, ...commands, ...added, ...ownCommands];
}

/** Lines that were put on a library job by hand; fees that hang on it come by themselves. */
function linesAdded(job: Job | undefined, { lines: kept }: LibraryJob): QuoteLine[] {
  const isKept = (line: QuoteLine): boolean =>
    job?.fit
      ? job.fit.lineIds.some(({ id }) => id === line.id)
      : kept.some(({ kind, description }) => kind === line.kind && description === line.description);
  return (job?.lines ?? []).filter((line) => !isKept(line) && !(line.kind === "fee" && line.feeId !== undefined));
}
