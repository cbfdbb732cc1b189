import { instantAt } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";

const FIRST_MINUTE = 7 * 60;
const LAST_END_MINUTE = 18 * 60;
const GRID_MINUTES = 30;

/**
 * Starts at which a mechanic is free for a whole visit, on the half hours of the working day.
 *
 * @param after - ISO instant; starts before it are left out.
 * @returns ISO instants, earliest first.
 */
export function freeStarts(visits: readonly DayVisit[], mechanicId: string, day: string, minutes: number, zone: string, after: string): string[] {
  const taken = visits.filter(({ visit }) => visit.mechanicId === mechanicId && visit.leftAt === null).map(({ visit }) => [Date.parse(visit.startsAt), Date.parse(visit.endsAt)] as const);
  const starts: string[] = [];
  for (let minute = FIRST_MINUTE; minute + minutes <= LAST_END_MINUTE; minute += GRID_MINUTES) {
    const start = instantAt(day, minute, zone);
    const from = Date.parse(start);
    const to = from + minutes * 60_000;
    if (from >= Date.parse(after) && !taken.some(([begin, end]) => from < end && to > begin)) starts.push(start);
  }
  return starts;
}
