import { DateTime, IANAZone } from "luxon";

/** An instant in the business's zone. */
export function inZone(instant: string, zone: string): DateTime {
  return DateTime.fromISO(instant, { zone });
}

/** The calendar day of an instant in a zone, as `2026-11-23`. */
export function dayOf(instant: string, zone: string): string {
  return inZone(instant, zone).toISODate() ?? "";
}

/** @example showTime("2026-11-23T17:30:00Z", "America/Los_Angeles") //=> "9:30 am" */
export function showTime(instant: string, zone: string): string {
  return inZone(instant, zone).setLocale("en-US").toFormat("h:mm a").toLowerCase();
}

/** @example showDay("2026-11-23", "2026-11-23") //=> "Today, Mon Nov 23" */
export function showDay(day: string, today: string): string {
  const date = DateTime.fromISO(day, { zone: "utc" }).setLocale("en-US");
  const distance = Math.round(date.diff(DateTime.fromISO(today, { zone: "utc" }), "days").days);
  const name = distance === 0 ? "Today, " : distance === 1 ? "Tomorrow, " : distance === -1 ? "Yesterday, " : "";
  return name + date.toFormat("ccc LLL d");
}

/** @example showMoment("2026-11-23T17:30:00Z", "America/Los_Angeles", "2026-11-23") //=> "Today, Mon Nov 23, 9:30 am" */
export function showMoment(instant: string, zone: string, today: string): string {
  return `${showDay(dayOf(instant, zone), today)}, ${showTime(instant, zone)}`;
}

/** How long something has waited, coarsely. @example showAge("2026-11-20T10:00:00Z", "2026-11-23T10:00:00Z") //=> "3 days" */
export function showAge(since: string, now: string): string {
  const minutes = Math.max(0, Math.floor((Date.parse(now) - Date.parse(since)) / 60_000));
  if (minutes < 60) return `${minutes} min`;
  if (minutes < 48 * 60) return `${Math.floor(minutes / 60)} h`;
  return `${Math.floor(minutes / (24 * 60))} days`;
}

/** The instant of a wall-clock time on a day in a zone, in minutes since midnight. @example instantAt("2026-11-23", 570, "America/Los_Angeles") //=> "2026-11-23T17:30:00.000Z" */
export function instantAt(day: string, minuteOfDay: number, zone: string): string {
  const date = DateTime.fromISO(day, { zone })
    .startOf("day")
    .set({ hour: Math.floor(minuteOfDay / 60), minute: minuteOfDay % 60 });
  return date.toUTC().toISO() ?? "";
}

/** The day so many months later, or the last one of that month. @example addMonths("2026-11-30", 3) //=> "2027-02-28" */
export function addMonths(day: string, months: number): string {
  return DateTime.fromISO(day, { zone: "utc" }).plus({ months }).toISODate() ?? day;
}

/**
 * A calendar day some days on.
 *
 * @param day - ISO date; what is none comes back as it is.
 * @param days - whole days; below 0 for earlier ones.
 * @example
 * addDays("2026-02-27", 2) //=> "2026-03-01"
 */
export function addDays(day: string, days: number): string {
  return DateTime.fromISO(day, { zone: "utc" }).plus({ days }).toISODate() ?? day;
}

/** Minutes since midnight in a zone. */
export function minuteOfDay(instant: string, zone: string): number {
  const time = inZone(instant, zone);
  return time.hour * 60 + time.minute;
}

/** The day of an instant, or a calendar day as it stands, of any year. @example showDate("2026-11-23T18:00:00.000Z", "America/Los_Angeles") //=> "Nov 23, 2026" */
export function showDate(instant: string, zone: string): string {
  return inZone(instant, zone).setLocale("en-US").toFormat("LLL d, yyyy");
}

/** A time of day as people type it, in minutes after midnight; null: it is none. @example readTimeOfDay("7:30 pm") //=> 1170 */
export function readTimeOfDay(typed: string): number | null {
  for (const format of ["H:mm", "h:mm a", "h a", "h:mma", "ha", "H"]) {
    const time = DateTime.fromFormat(typed.trim().toLowerCase(), format, { locale: "en-US", zone: "utc" });
    if (time.isValid) return time.hour * 60 + time.minute;
  }
  return typed.trim() === "24:00" ? 24 * 60 : null;
}

/** A time of day as the settings show it. @example showTimeOfDay(1170) //=> "19:30" */
export function showTimeOfDay(minutes: number): string {
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, "0")}`;
}

/** Whether there is a time zone of this name. */
export function isZone(name: string): boolean {
  return IANAZone.isValidZone(name);
}

/** Whole minutes from one ISO instant to another. */
export function minutesBetween(from: string, to: string): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / 60_000);
}
