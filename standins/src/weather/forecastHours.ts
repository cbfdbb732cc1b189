import type { HourOfWeather } from "@mechanon/core";

const HOUR_MS = 3_600_000;
const DAY_HOURS = 24;

export type Sky = "wet" | "dry" | "asItComes";

/** Hours of weather between two moments, made up but steady: an hour of a place is always the same. */
export function forecastHours(
  { latitude, longitude }: { latitude: number; longitude: number },
  from: number,
  to: number,
  skyAt: (at: number) => Sky,
): HourOfWeather[] {
  const first = Math.floor(from / HOUR_MS);
  const count = Math.max(0, Math.ceil(to / HOUR_MS) - first);
  return Array.from({ length: count }, (_, index) => {
    const hour = first + index;
    const day = Math.floor(hour / DAY_HOURS);
    // Fronts pass over whole districts; within a day the rain comes and goes.
    const front = chance(day, Math.round(latitude * 2), Math.round(longitude * 2));
    const shower = chance(hour, 7, 7);
    const rainPercent =
      skyAt(hour * HOUR_MS) === "wet"
        ? 90
        : skyAt(hour * HOUR_MS) === "dry"
          ? 0
          : Math.round(Math.max(0, front * 100 - 35) * (0.5 + shower / 2));
    const warmth = Math.cos(((hour % DAY_HOURS) - 22) * (Math.PI / 12));
    return {
      at: new Date(hour * HOUR_MS).toISOString(),
      rainPercent,
      rainMm: Math.round(rainPercent * shower) / 50,
      temperatureCelsius: Math.round(9 + 5 * warmth + 6 * (chance(day, 3, 3) - 0.5)),
      windKmh: Math.round(8 + 30 * chance(day, 5, Math.floor(hour / 6))),
    };
  });
}

/** A number from 0 to 1 that hangs on three others alone. @see mulberry32 */
function chance(one: number, two: number, three: number): number {
  let seed = (Math.imul(one, 0x9e3779b1) ^ Math.imul(two, 0x85ebca6b) ^ Math.imul(three, 0xc2b2ae35)) >>> 0;
  seed = (seed + 0x6d2b79f5) >>> 0;
  let mixed = Math.imul(seed ^ (seed >>> 15), seed | 1);
  mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
  return ((mixed ^ (mixed >>> 14)) >>> 0) / 0x1_0000_0000;
}
