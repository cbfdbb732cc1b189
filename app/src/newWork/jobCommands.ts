import type { ClientWorkOrderCommand, Job, LibraryJob } from "@mechanon/core";

/** Concerns have the places before. */
const FIRST_JOB = 64;
const PLACES_PER_JOB = 64;
const MOST_JOBS = 60;

/**
 * The commands that put jobs on a new work order: a library job as it is kept today, another with its lines; finished
 * ones stay where they are.
 *
 * @param copied - of a quote that is taken over.
 * @param libraryJobIds - work put off that is taken along.
 * @param idAt - an id for each place, the same whenever it is asked.
 */
export function jobCommands(
  copied: readonly Job[],
  libraryJobIds: readonly string[],
  library: readonly LibraryJob[],
  idAt: (place: number) => string,
): ClientWorkOrderCommand[] {
  const kept = (id: string | null): LibraryJob | undefined => library.find((job) => job.id === id);
  const own = copied.filter(({ finishedAt, libraryJobId }) => finishedAt === null && !kept(libraryJobId));
  const fromLibrary = [
    ...new Set([
      ...copied.flatMap(({ finishedAt, libraryJobId }) =>
        finishedAt === null && libraryJobId !== null && kept(libraryJobId) ? [libraryJobId] : [],
      ),
      ...libraryJobIds.filter((id) => kept(id)),
    ]),
  ];
  const places = (job: number): number => FIRST_JOB + job * PLACES_PER_JOB;
  const commands = fromLibrary.slice(0, MOST_JOBS).map((libraryJobId, job): ClientWorkOrderCommand => ({
    type: "addJob",
    jobId: idAt(places(job)),
    libraryJobId,
    lineIds: (kept(libraryJobId)?.lines ?? []).map((_, line) => idAt(places(job) + 1 + line)),
    concernId: null,
    pointId: null,
  }));
  const ownCommands = own
    .slice(0, MOST_JOBS - commands.length)
    .flatMap(({ title, lines }, index): ClientWorkOrderCommand[] => {
      const jobId = idAt(places(commands.length + index));
      return [
        { type: "addOwnJob", jobId, title, concernId: null },
        ...lines.slice(0, PLACES_PER_JOB - 1).map((line, place): ClientWorkOrderCommand => ({
          type: "addLine",
          jobId,
          line: { ...line, id: idAt(places(commands.length + index) + 1 + place) },
        })),
      ];
    });
  return [...commands, ...ownCommands];
}
