import { DateTime } from "luxon";

/** One reading of an odometer. */
export interface OdometerReading {
  miles: number;
  /** ISO instant. */
  at: string;
}

/** How a car is driven, from its readings. */
export interface OdometerTrend {
  /** Readings that fit together, oldest first. */
  readings: OdometerReading[];
  /** Readings lower than an earlier one: misread, or another instrument. */
  backwards: OdometerReading[];
  /** null: too few readings, or too close to each other. */
  milesPerYear: number | null;
}

/** What a car is taken to be driven where its readings do not tell. */
export const USUAL_MILES_PER_YEAR = 12_000;
const FEWEST_DAYS = 30;
const DAYS_PER_YEAR = 365.25;

/** The miles a year between the first and the last reading that fit together. */
export function odometerTrend(all: readonly OdometerReading[]): OdometerTrend {
  const sorted = [...all].sort((a, b) => (a.at < b.at ? -1 : 1));
  const readings: OdometerReading[] = [];
  const backwards: OdometerReading[] = [];
  for (const reading of sorted) {
    const last = readings.at(-1);
    (last && reading.miles < last.miles ? backwards : readings).push(reading);
  }
  const [first] = readings;
  const last = readings.at(-1);
  const days = first && last ? daysBetween(first.at, last.at) : 0;
  const milesPerYear =
    first && last && days >= FEWEST_DAYS ? Math.round(((last.miles - first.miles) / days) * DAYS_PER_YEAR) : null;
  return { readings, backwards, milesPerYear };
}

/**
 * What an odometer will show, going on as before; the usual yearly miles where the readings do not tell.
 * @returns null without any reading.
 */
export function predictMiles(trend: OdometerTrend, at: string): number | null {
  const last = trend.readings.at(-1);
  if (!last) return null;
  const perYear = trend.milesPerYear ?? USUAL_MILES_PER_YEAR;
  return Math.round(last.miles + (Math.max(0, daysBetween(last.at, at)) / DAYS_PER_YEAR) * perYear);
}

/**
 * When an odometer will show so many miles, as an ISO date.
 * @returns null without any reading, or for a car that is not driven.
 */
export function predictDate(trend: OdometerTrend, miles: number, zone: string): string | null {
  const last = trend.readings.at(-1);
  const perYear = trend.milesPerYear ?? USUAL_MILES_PER_YEAR;
  if (!last || perYear <= 0) return null;
  const days = ((miles - last.miles) / perYear) * DAYS_PER_YEAR;
  return DateTime.fromISO(last.at, { zone })
    .plus({ days: Math.ceil(days) })
    .toISODate();
}

function daysBetween(from: string, to: string): number {
  return DateTime.fromISO(to).diff(DateTime.fromISO(from), "days").days;
}
