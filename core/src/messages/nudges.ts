import { addDays } from "../dates/dates";

/**
 * Which nudge is due for a quote that was sent and not answered: the last one of the owner's rhythm whose day has come.
 *
 * @param sentOn - the day the quote was sent; ISO calendar days throughout.
 * @param nudgeDays - so many days after it, rising.
 * @returns its place in the rhythm; null: none yet.
 */
export function nudgeDue(sentOn: string, nudgeDays: readonly number[], today: string): number | null {
  const due = nudgeDays.filter((days) => addDays(sentOn, days) <= today).length;
  return due === 0 ? null : due - 1;
}

/**
 * Whether somebody should call about a quote: every nudge went out and a day has passed, and nobody has called since, or
 * said when to ask again.
 *
 * @param againOn - the day the last call was put off to; null: nobody called.
 */
export function isToCall(
  { sentOn, againOn }: { sentOn: string; againOn: string | null },
  nudgeDays: readonly number[],
  today: string,
): boolean {
  if (againOn !== null && againOn > sentOn) return againOn <= today;
  return addDays(sentOn, (nudgeDays.at(-1) ?? 0) + 1) <= today;
}
