import type { Draft } from "./draft";

/**
 * A draft that an older app kept, with what it did not know yet.
 * @param kept - what stands in the storage; of anything that is no draft, nothing is taken.
 */
export function upgradeDraft(kept: unknown, empty: Draft): Draft {
  const { draft } = (typeof kept === "object" && kept !== null ? kept : {}) as { draft?: Partial<Draft> };
  if (typeof draft !== "object" || draft === null || typeof draft.workOrderId !== "string") return empty;
  const known = draft.known ? { ...draft.known, knownFrom: draft.known.knownFrom ?? "" } : null;
  const { slot = null } = draft;
  const wish = slot ? { day: null, minutes: minutesOf(slot), mechanicId: slot.mechanicId } : empty.wish;
  return { ...empty, wish, ...draft, known };
}

function minutesOf({ startsAt, endsAt }: { startsAt: string; endsAt: string }): number {
  return Math.round((Date.parse(endsAt) - Date.parse(startsAt)) / 60_000);
}
