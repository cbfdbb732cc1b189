import { DateTime } from "luxon";
import { couldFollow } from "./couldFollow";

/** One reading of an odometer. */
export interface OdometerReading {
  miles: number;
  /** ISO instant. */
  at: string;
}

/** How a car is driven, from its readings. */
export interface OdometerTrend<R extends OdometerReading = OdometerReading> {
  /** Readings that fit together, oldest first. */
  readings: R[];
  /** Readings that do not fit those: misread, or of another instrument. Oldest first. */
  doubtful: R[];
  /** null: too few readings, or too close to each other. */
  milesPerYear: number | null;
}

/** What a car is taken to be driven where its readings do not tell. */
export const USUAL_MILES_PER_YEAR = 12_000;
const FEWEST_DAYS = 30;
const DAYS_PER_YEAR = 365.25;

/**
 * The most readings that fit together, and the miles a year from the first to the last of them. None is trusted because
 * it is the newest: of two that do not fit together the earlier counts, until later ones side with the other.
 */
export function odometerTrend<R extends OdometerReading>(all: readonly R[]): OdometerTrend<R> {
  const sorted = [...all].sort((a, b) => (a.at < b.at ? -1 : 1));
  const readings = longestFitting(sorted);
  const fitting = new Set<R>(readings);
  const [first] = readings;
  const last = readings.at(-1);
  const days = first && last ? daysBetween(first.at, last.at) : 0;
  const milesPerYear =
    first && last && days >= FEWEST_DAYS ? Math.round(((last.miles - first.miles) / days) * DAYS_PER_YEAR) : null;
  return { readings, doubtful: sorted.filter((reading) => !fitting.has(reading)), milesPerYear };
}

/** The longest chain of readings of which each could follow the one before; of equally long ones that which ends first. */
function longestFitting<R extends OdometerReading>(sorted: readonly R[]): R[] {
  const chains: { length: number; before: number }[] = [];
  let best = -1;
  for (const [place, reading] of sorted.entries()) {
    const chain = { length: 1, before: -1 };
    for (const [earlier, { length }] of chains.entries()) {
      const from = sorted[earlier];
      if (from && length >= chain.length && couldFollow(from, reading)) {
        chain.length = length + 1;
        chain.before = earlier;
      }
    }
    chains.push(chain);
    if (chain.length > (chains[best]?.length ?? 0)) best = place;
  }
  const found: R[] = [];
  for (let place = best; place >= 0; place = chains[place]?.before ?? -1) {
    const reading = sorted[place];
    if (reading) found.unshift(reading);
  }
  return found;
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
