import { addDays, instantAt, type HourOfWeather } from "@mechanon/core";
import { LRUCache } from "lru-cache";
import { AppError } from "../errors/appError";
import { OutsideError } from "../outside/http";
import type { Outside } from "../outside/outside";

const KEPT_MS = 10 * 60_000;
const MOST_KEPT = 500;
/** Weather is the same a few streets on. */
const GRID_DEGREES = 0.05;

const kept = new LRUCache<string, HourOfWeather[]>({ max: MOST_KEPT, ttl: KEPT_MS });

/** From one day to another, both included, at a point. */
export interface ForecastAsked {
  from: string;
  to: string;
  latitude: number;
  longitude: number;
}

/**
 * The weather of some days, hour by hour; asked again after ten minutes.
 * @throws {AppError} `weather/unreachable`.
 */
export async function forecast(
  { weather }: Pick<Outside, "weather">,
  zone: string,
  { from, to, ...at }: ForecastAsked,
): Promise<HourOfWeather[]> {
  const onGrid = (degrees: number): number => Math.round(degrees / GRID_DEGREES) * GRID_DEGREES;
  const point = { latitude: onGrid(at.latitude), longitude: onGrid(at.longitude) };
  const key = [from, to, zone, point.latitude, point.longitude].join(" ");
  const before = kept.get(key);
  if (before) return before;
  try {
    const hours = await weather.forecast(point, instantAt(from, 0, zone), instantAt(addDays(to, 1), 0, zone));
    kept.set(key, hours);
    return hours;
  } catch (error) {
    if (error instanceof OutsideError)
      throw new AppError(
        "weather/unreachable",
        "The weather service does not answer. Visits can be booked and moved all the same; look at the sky.",
        { cause: error },
      );
    throw error;
  }
}
