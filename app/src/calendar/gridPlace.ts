import { dayOf, instantAt, minuteOfDay, minutesBetween, type MoveTo } from "@mechanon/core";

/** The hours the calendar draws. */
export const FIRST_MINUTE = 6 * 60;
export const LAST_MINUTE = 22 * 60;
/** Visits start on the quarter hours. */
export const GRID_MINUTES = 15;

/** A column of the grid: a day, of one mechanic or of all. */
export interface GridColumn {
  key: string;
  date: string;
  /** Null: all, each in a lane. */
  mechanicId: string | null;
}

interface Span {
  startsAt: string;
  endsAt: string;
}

/** Where a span stands in its column, in minutes from the top; what is beyond the drawn hours is cut. */
export function placeInColumn({ startsAt, endsAt }: Span, date: string, zone: string): { top: number; height: number } {
  const from = dayOf(startsAt, zone) < date ? FIRST_MINUTE : Math.max(minuteOfDay(startsAt, zone), FIRST_MINUTE);
  const until = dayOf(endsAt, zone) > date ? LAST_MINUTE : Math.min(minuteOfDay(endsAt, zone), LAST_MINUTE);
  const top = Math.min(from, LAST_MINUTE - GRID_MINUTES) - FIRST_MINUTE;
  return { top, height: Math.max(until - FIRST_MINUTE - top, GRID_MINUTES) };
}

/** Where a visit goes that is moved by so many minutes, to another column: on the quarter hours, as long as it is. */
export function movedBy(
  { startsAt, endsAt, mechanicId }: MoveTo,
  minutes: number,
  to: Pick<GridColumn, "date" | "mechanicId">,
  zone: string,
): MoveTo {
  const start = minuteOfDay(startsAt, zone) + minutes;
  const onGrid = Math.round(start / GRID_MINUTES) * GRID_MINUTES;
  const minute = Math.min(Math.max(onGrid, 0), 24 * 60 - GRID_MINUTES);
  return startingAt({ startsAt, endsAt, mechanicId: to.mechanicId ?? mechanicId }, instantAt(to.date, minute, zone));
}

/** The same length from another start. */
export function startingAt({ startsAt, endsAt, mechanicId }: MoveTo, start: string): MoveTo {
  const minutes = minutesBetween(startsAt, endsAt);
  return { mechanicId, startsAt: start, endsAt: new Date(Date.parse(start) + minutes * 60_000).toISOString() };
}

/** Half hours of a day at which nothing stands for as long as a visit takes. */
export function freeHalfHours(
  { startsAt, endsAt }: Span,
  taken: readonly Span[],
  date: string,
  { zone, now }: { zone: string; now: string },
): string[] {
  const length = Date.parse(endsAt) - Date.parse(startsAt);
  const starts: string[] = [];
  for (let minute = FIRST_MINUTE; minute < LAST_MINUTE; minute += 2 * GRID_MINUTES) {
    const start = instantAt(date, minute, zone);
    const from = Date.parse(start);
    const isFree = !taken.some((span) => from < Date.parse(span.endsAt) && from + length > Date.parse(span.startsAt));
    if (isFree && start > now) starts.push(start);
  }
  return starts;
}
