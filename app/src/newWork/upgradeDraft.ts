import { minutesBetween } from "@mechanon/core";
import type { Slot, SlotWish } from "../booking/slot";

/** What of a draft is looked at when it comes from an older app. */
interface Upgraded {
  workOrderId: string;
  known: { knownFrom: string } | null;
  wish: SlotWish;
  slot: Slot | null;
}

/**
 * A draft that an older app kept, with what it did not know yet.
 * @param kept - what stands in the storage; of anything that is no draft, nothing is taken.
 */
export function upgradeDraft<D extends Upgraded>(kept: unknown, empty: D): D {
  const { draft } = (typeof kept === "object" && kept !== null ? kept : {}) as { draft?: Partial<D> };
  if (typeof draft !== "object" || draft === null || typeof draft.workOrderId !== "string") return empty;
  const known = draft.known ? { ...draft.known, knownFrom: draft.known.knownFrom ?? "" } : null;
  const { slot = null } = draft;
  const wish = slot
    ? { ...empty.wish, minutes: minutesBetween(slot.startsAt, slot.endsAt), mechanicId: slot.mechanicId }
    : empty.wish;
  // Which part of the day is wished for was not asked before.
  return { ...empty, ...draft, known, wish: { ...wish, ...draft.wish } };
}
