import { addDays, dayOf, inZone, instantAt } from "../dates/dates";

const DAY_MINUTES = 24 * 60;

/** A day of a zone; minutes are counted from its midnight, whatever the clock does at night. */
export interface CalendarDay {
  date: string;
  /** 1 Monday to 7 Sunday. */
  weekday: number;
  /** Milliseconds. */
  midnight: number;
  /** Whole minutes from midnight to an ISO instant. */
  minuteOf: (instant: string) => number;
  /** Minutes from midnight until the clock shows so many minutes. */
  onClock: (minute: number) => number;
}

/** The coming days, today first. @param now - ISO instant. */
export function calendarDays(now: string, zone: string, count: number): CalendarDay[] {
  const today = dayOf(now, zone);
  const dates = Array.from({ length: count + 1 }, (_, index) => addDays(today, index));
  const midnights = dates.map((date) => Date.parse(instantAt(date, 0, zone)));
  return dates.slice(0, count).map((date, index) => {
    const midnight = midnights[index] ?? 0;
    const minuteOf = (instant: string): number => Math.round((Date.parse(instant) - midnight) / 60_000);
    const hasChange = (midnights[index + 1] ?? 0) - midnight !== DAY_MINUTES * 60_000;
    return {
      date,
      weekday: inZone(`${date}T12:00:00.000Z`, "utc").weekday,
      midnight,
      minuteOf,
      onClock: (minute) => (hasChange ? minuteOf(instantAt(date, minute, zone)) : minute),
    };
  });
}

/** Which of the days an instant lies in; undefined: none. */
export function dayAt(days: readonly CalendarDay[], instant: string): CalendarDay | undefined {
  const at = Date.parse(instant);
  const index = days.findLastIndex(({ midnight }) => midnight <= at);
  const day = days[index];
  // The last one ends by its clock.
  return day && (index < days.length - 1 || day.minuteOf(instant) < day.onClock(DAY_MINUTES)) ? day : undefined;
}
