import type { HourOfWeather } from "@mechanon/core";

/** What the weather will be, hour by hour. */
export interface Weather {
  /** Hours from the first day to the last, in UTC. */
  forecast(at: { latitude: number; longitude: number }, from: string, to: string): Promise<HourOfWeather[]>;
}
