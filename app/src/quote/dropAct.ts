import type { ClientWorkOrderCommand, Job } from "@mechanon/core";

type MoveLine = Extract<ClientWorkOrderCommand, { type: "moveLine" }>;

/** The end of a job, as something is dropped on it. */
export function endOf(jobId: string): string {
  return `end-${jobId}`;
}

/**
 * Where a line goes that was dropped: in its job it takes the place of the line it was dropped on, in another it goes
 * before it, or to the end.
 *
 * @param on - the id of a line, or the end of a job.
 * @returns with what takes it back; null where it stays.
 */
export function dropAct(
  jobs: readonly Job[],
  lineId: string,
  on: string,
): { command: MoveLine; undo: MoveLine } | null {
  const from = jobs.find(({ lines }) => lines.some(({ id }) => id === lineId));
  const to = jobs.find(({ id, lines }) => endOf(id) === on || lines.some((line) => line.id === on));
  if (!from || !to || on === lineId || from.finishedAt !== null || to.finishedAt !== null) return null;
  const at = from.lines.findIndex(({ id }) => id === lineId);
  const over = to.lines.findIndex(({ id }) => id === on);
  // Dragged down within its job it goes behind what it was dropped on.
  const isDown = from.id === to.id && over > at;
  const beforeLineId = over < 0 ? null : isDown ? (to.lines[over + 1]?.id ?? null) : on;
  if (from.id === to.id && over < 0 && at === from.lines.length - 1) return null;
  return {
    command: { type: "moveLine", lineId, jobId: to.id, beforeLineId },
    undo: { type: "moveLine", lineId, jobId: from.id, beforeLineId: from.lines[at + 1]?.id ?? null },
  };
}
