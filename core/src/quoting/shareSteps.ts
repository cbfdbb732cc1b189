import { overlapLabor } from "./labor";
import type { LaborLine, QuoteLine } from "./quoteLine";
import type { Job } from "./slice";

/**
 * Jobs done together pay a step of the guide once: it is credited to the first line that has it. A job that was answered
 * or is finished keeps its hours; what was agreed or done has paid its steps, what was declined has not. A line whose
 * hours were typed keeps them, too.
 *
 * @see calculations.md, labor
 */
export function shareSteps(jobs: readonly Job[]): Job[] {
  const stands = (job: Job): boolean => job.answer !== null || job.finishedAt !== null;
  const isPaid = (job: Job): boolean => job.answer?.value === "yes" || job.finishedAt !== null;
  const inOrder = [...jobs.filter(isPaid), ...jobs.filter((job) => !stands(job))].flatMap(({ lines }) =>
    lines.filter(hasSteps),
  );
  // Nothing of a guide is on most quotes.
  if (inOrder.length === 0) return [...jobs];
  const steps = Object.fromEntries(
    inOrder.flatMap((line) => line.steps.map(({ key, hours }) => [key, hours] as const)).reverse(),
  );
  const shared = overlapLabor({
    steps,
    operations: inOrder.map(({ id, steps: own }) => ({ id, steps: own.map(({ key }) => key) })),
  });
  const hoursOf = new Map(shared.operations.map(({ id, hours }) => [id, hours]));
  return jobs.map((job) =>
    stands(job)
      ? job
      : {
          ...job,
          lines: job.lines.map((line): QuoteLine => {
            const hours = hasSteps(line) && !line.byHand ? hoursOf.get(line.id) : undefined;
            return hours === undefined || line.kind !== "labor" || line.hours === hours ? line : { ...line, hours };
          }),
        },
  );
}

/** Hours a line would take by itself more than it does beside the others; 0: nothing is shared. */
export function savedHours(line: LaborLine): number {
  if (!line.steps || line.byHand) return 0;
  const alone = overlapLabor({
    steps: Object.fromEntries(line.steps.map(({ key, hours }) => [key, hours])),
    operations: [{ id: line.id, steps: line.steps.map(({ key }) => key) }],
  }).hours;
  return Math.max(0, Math.round((alone - line.hours) * 10_000) / 10_000);
}

type GuideLine = LaborLine & { steps: NonNullable<LaborLine["steps"]> };

function hasSteps(line: QuoteLine): line is GuideLine {
  return line.kind === "labor" && line.steps !== undefined;
}
