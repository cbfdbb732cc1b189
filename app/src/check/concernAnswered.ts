import type { WorkOrderState } from "@mechanon/core";

/** The concern a job answers that no job is for yet; null: none. */
export function concernAnswered(
  { concerns, jobs }: Pick<WorkOrderState, "concerns" | "jobs">,
  phraseIds: readonly string[],
): string | null {
  return (
    concerns.find(
      ({ id, phraseId }) =>
        phraseId !== null && phraseIds.includes(phraseId) && !jobs.some(({ concernId }) => concernId === id),
    )?.id ?? null
  );
}
