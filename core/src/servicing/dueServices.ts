import { DateTime } from "luxon";
import { predictDate, predictMiles, type OdometerTrend } from "../vehicles/odometer/odometerTrend";
import type { ServiceInterval } from "../vehicles/specs/specSheet";

/** A service that was done: when, and at how many miles if that was written down. */
export interface ServiceDone {
  intervalId: string;
  at: string;
  miles: number | null;
}

/** `unknown`: nobody knows when it was last done. */
export type DueStanding = "overdue" | "soon" | "later" | "unknown";

export interface DueService {
  interval: ServiceInterval & { from: IntervalSource };
  last: ServiceDone | null;
  dueAtMiles: number | null;
  /** ISO date by the calendar alone. */
  dueByDate: string | null;
  /** The earlier of the two, ISO date. */
  dueOn: string | null;
  /** What comes first. */
  by: "miles" | "months" | null;
  standing: DueStanding;
}

/** Whose word an interval is: the spec sheet's, the owner's own, or one agreed with the customer. */
export type IntervalSource = "sheet" | "owner" | "customer";

const SOON_DAYS = 45;
const SOON_MILES = 1000;

/** The intervals that hold for a car: the customer's over the owner's over the spec sheet's, by id. */
export function intervalsFor(
  sheet: readonly ServiceInterval[],
  owners: readonly ServiceInterval[],
  customers: readonly ServiceInterval[],
): DueService["interval"][] {
  const held = new Map<string, DueService["interval"]>();
  for (const [from, intervals] of [
    ["sheet", sheet],
    ["owner", owners],
    ["customer", customers],
  ] as const)
    for (const interval of intervals)
      // One without miles and months leaves it to the word before.
      if (interval.miles !== null || interval.months !== null)
        held.set(interval.id, {
          id: interval.id,
          title: interval.title,
          miles: interval.miles,
          months: interval.months,
          from,
        });
  return [...held.values()];
}

/** What is due on a car, the most urgent first; by miles or months, whichever comes first. */
export function dueServices(
  intervals: readonly DueService["interval"][],
  done: readonly ServiceDone[],
  trend: OdometerTrend,
  now: string,
  zone: string,
): DueService[] {
  const milesNow = predictMiles(trend, now);
  const due = intervals.map((interval): DueService => {
    const last = lastOf(done.filter(({ intervalId }) => intervalId === interval.id));
    if (!last) return { interval, last, dueAtMiles: null, dueByDate: null, dueOn: null, by: null, standing: "unknown" };
    const milesThen = last.miles ?? milesAt(trend, last.at);
    const dueAtMiles = interval.miles === null || milesThen === null ? null : milesThen + interval.miles;
    const dueByDate =
      interval.months === null
        ? null
        : DateTime.fromISO(last.at, { zone }).plus({ months: interval.months }).toISODate();
    const byMiles = dueAtMiles === null ? null : predictDate(trend, dueAtMiles, zone);
    const by = byMiles !== null && (dueByDate === null || byMiles < dueByDate) ? "miles" : dueByDate ? "months" : null;
    const dueOn = by === "miles" ? byMiles : dueByDate;
    return {
      interval,
      last,
      dueAtMiles,
      dueByDate,
      dueOn,
      by,
      standing: standingOf(dueOn, dueAtMiles, milesNow, now, zone),
    };
  });
  return due.sort((a, b) => ORDER[a.standing] - ORDER[b.standing] || (a.dueOn ?? "9").localeCompare(b.dueOn ?? "9"));
}

const ORDER: Record<DueStanding, number> = { overdue: 0, soon: 1, unknown: 2, later: 3 };

function lastOf(done: readonly ServiceDone[]): ServiceDone | null {
  return done.reduce<ServiceDone | null>((last, one) => (last === null || one.at > last.at ? one : last), null);
}

/** What the odometer showed then, by the nearest reading before it. */
function milesAt(trend: OdometerTrend, at: string): number | null {
  return trend.readings.filter((reading) => reading.at <= at).at(-1)?.miles ?? null;
}

function standingOf(
  dueOn: string | null,
  dueAtMiles: number | null,
  milesNow: number | null,
  now: string,
  zone: string,
): DueStanding {
  if (dueOn === null) return "later";
  const today = DateTime.fromISO(now, { zone });
  const milesLeft = dueAtMiles === null || milesNow === null ? Infinity : dueAtMiles - milesNow;
  const daysLeft = DateTime.fromISO(dueOn, { zone }).diff(today.startOf("day"), "days").days;
  if (daysLeft < 0 || milesLeft <= 0) return "overdue";
  return daysLeft <= SOON_DAYS || milesLeft <= SOON_MILES ? "soon" : "later";
}
