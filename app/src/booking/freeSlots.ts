import { dayOf, instantAt } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";

const FIRST_MINUTE = 7 * 60;
const LAST_END_MINUTE = 18 * 60;
const GRID_MINUTES = 30;

/**
 * Starts at which a mechanic is free for a whole visit: right now if it is that day, then the half hours of the working
 * day.
 *
 * @param now - ISO instant; starts before it are left out.
 * @returns ISO instants, earliest first.
 */
export function freeStarts(
  visits: readonly DayVisit[],
  mechanicId: string,
  day: string,
  minutes: number,
  zone: string,
  now: string,
): string[] {
  const taken = visits
    .filter(({ visit }) => visit.mechanicId === mechanicId && visit.leftAt === null)
    .map(({ visit }) => [Date.parse(visit.startsAt), Date.parse(visit.endsAt)] as const);
  const isFree = (start: string): boolean => {
    const from = Date.parse(start);
    return !taken.some(([begin, end]) => from < end && from + minutes * 60_000 > begin);
  };
  const starts = dayOf(now, zone) === day && isFree(now) ? [now] : [];
  for (let minute = FIRST_MINUTE; minute + minutes <= LAST_END_MINUTE; minute += GRID_MINUTES) {
    const start = instantAt(day, minute, zone);
    if (Date.parse(start) > Date.parse(now) && isFree(start)) starts.push(start);
  }
  return starts;
}
