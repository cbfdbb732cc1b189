/** A time somebody can come. */
export interface Slot {
  mechanicId: string;
  startsAt: string;
  endsAt: string;
  dayName: string;
}

/** What a visit is wanted for, before a time is picked. */
export interface SlotWish {
  /** Null: no visit yet. */
  day: string | null;
  minutes: number;
  /** Null: whoever is asking, or the first of the mechanics. */
  mechanicId: string | null;
}

const USUAL_MINUTES = 60;

/** No visit yet; with a day picked, the usual length by the usual one. */
export function anyTime(minutes: number | null = null): SlotWish {
  return { day: null, minutes: minutes ?? USUAL_MINUTES, mechanicId: null };
}
