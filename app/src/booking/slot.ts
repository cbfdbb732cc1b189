/** A time somebody can come. */
export interface Slot {
  mechanicId: string;
  startsAt: string;
  endsAt: string;
  dayName: string;
}

/** When somebody would like it best, by the clock of the business; its start lies in it. */
export const PARTS_OF_DAY = {
  any: null,
  morning: { fromMinute: 0, toMinute: 12 * 60 },
  afternoon: { fromMinute: 12 * 60, toMinute: 17 * 60 },
  evening: { fromMinute: 17 * 60, toMinute: 24 * 60 },
} as const;
export type PartOfDay = keyof typeof PARTS_OF_DAY;

/** What a visit is wanted for, before a time is picked. */
export interface SlotWish {
  /** Null: no visit yet. */
  day: string | null;
  minutes: number;
  /** Null: whoever is asking, or the first of the mechanics. */
  mechanicId: string | null;
  part: PartOfDay;
}

const USUAL_MINUTES = 60;

/** No visit yet; with a day picked, the usual length by the usual one. */
export function anyTime(minutes: number | null = null): SlotWish {
  return { day: null, minutes: minutes ?? USUAL_MINUTES, mechanicId: null, part: "any" };
}
