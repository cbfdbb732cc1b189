import { addDays, inZone, showDay } from "@mechanon/core";

/** How many days are shown, and how. */
export const CALENDAR_VIEWS = ["day", "week", "list"] as const;
export type CalendarView = (typeof CALENDAR_VIEWS)[number];

const WEEK_DAYS = 7;
const LIST_DAYS = 28;

/** The days a view shows around one: the day, its week from Monday on, or the weeks from it on. */
export function daysOfView(view: CalendarView, date: string): { from: string; to: string } {
  if (view === "day") return { from: date, to: date };
  if (view === "list") return { from: date, to: addDays(date, LIST_DAYS - 1) };
  const monday = addDays(date, 1 - inZone(`${date}T12:00:00.000Z`, "utc").weekday);
  return { from: monday, to: addDays(monday, WEEK_DAYS - 1) };
}

/** A day of the view before or after. */
export function turned(view: CalendarView, date: string, direction: 1 | -1): string {
  return addDays(date, direction * (view === "day" ? 1 : view === "week" ? WEEK_DAYS : LIST_DAYS));
}

/** Each day from one to another. */
export function eachDay({ from, to }: { from: string; to: string }): string[] {
  const days: string[] = [];
  for (let day = from; day <= to; day = addDays(day, 1)) days.push(day);
  return days;
}

/** What a view shows, as its head says it. */
export function viewTitle(view: CalendarView, date: string, today: string): string {
  const { from, to } = daysOfView(view, date);
  return view === "day" ? showDay(from, today) : `${showDay(from, today)} to ${showDay(to, today)}`;
}
