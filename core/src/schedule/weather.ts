import { z } from "zod";

/** What an hour will be like. */
export const hourOfWeather = z.object({
  /** Its beginning, as an ISO instant. */
  at: z.iso.datetime(),
  rainPercent: z.number().min(0).max(100),
  rainMm: z.number().min(0),
  temperatureCelsius: z.number(),
  windKmh: z.number().min(0),
});
export type HourOfWeather = z.infer<typeof hourOfWeather>;

const HOUR_MS = 3_600_000;

/** What somebody who works outside then should expect. */
export interface WeatherThen {
  /** The likeliest hour's. */
  rainPercent: number;
  temperatureCelsius: number;
  windKmh: number;
}

/** The hours a span of time touches, taken together: the wettest, the coldest, the windiest; null: nothing is forecast then. */
export function weatherThen(
  hours: readonly HourOfWeather[],
  { startsAt, endsAt }: { startsAt: string; endsAt: string },
): WeatherThen | null {
  const [from, to] = [Date.parse(startsAt), Date.parse(endsAt)];
  const then = hours.filter(({ at }) => Date.parse(at) < to && Date.parse(at) + HOUR_MS > from);
  if (then.length === 0) return null;
  return {
    rainPercent: Math.max(...then.map(({ rainPercent }) => rainPercent)),
    temperatureCelsius: Math.min(...then.map(({ temperatureCelsius }) => temperatureCelsius)),
    windKmh: Math.max(...then.map(({ windKmh }) => windKmh)),
  };
}
