import SunCalc from "suncalc";
import { instantAt } from "../dates/dates";
import type { Spot } from "./spot";

const NOON = 12 * 60;

/** When one can see without a lamp. */
export interface Daylight {
  /** ISO instants. */
  from: string;
  until: string;
}

/** Sunrise to sunset of a day at a point; null: the sun does not rise or set then, or nobody knows where it is. */
export function daylightOf(date: string, zone: string, { latitude, longitude }: Spot): Daylight | null {
  if (latitude === null || longitude === null) return null;
  const { sunrise, sunset } = SunCalc.getTimes(new Date(instantAt(date, NOON, zone)), latitude, longitude);
  if (Number.isNaN(sunrise.getTime()) || Number.isNaN(sunset.getTime())) return null;
  return { from: sunrise.toISOString(), until: sunset.toISOString() };
}

/** Whether it is light from the first to the last minute. */
export function isInDaylight(
  { from, until }: Daylight,
  { startsAt, endsAt }: { startsAt: string; endsAt: string },
): boolean {
  return Date.parse(startsAt) >= Date.parse(from) && Date.parse(endsAt) <= Date.parse(until);
}
