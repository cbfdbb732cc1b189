import { dayOf, instantAt, showTime, type Daylight, type HourOfWeather } from "@mechanon/core";

/** The part of a day people work in. */
const FROM_MINUTE = 7 * 60;
const UNTIL_MINUTE = 19 * 60;

/** Wet hours of a working day: from when until when, and how likely at most; null: none. */
export function wetHours(
  hours: readonly HourOfWeather[],
  date: string,
  zone: string,
  wetPercent: number,
): { from: string; until: string; percent: number } | null {
  const [begins, ends] = [instantAt(date, FROM_MINUTE, zone), instantAt(date, UNTIL_MINUTE, zone)];
  const wet = hours.filter(
    ({ at, rainPercent }) => dayOf(at, zone) === date && at >= begins && at < ends && rainPercent >= wetPercent,
  );
  const [first, last] = [wet[0], wet.at(-1)];
  if (!first || !last) return null;
  const until = new Date(Date.parse(last.at) + 3_600_000).toISOString();
  return { from: first.at, until, percent: Math.max(...wet.map(({ rainPercent }) => rainPercent)) };
}

/** A day's weather and light on one line. */
export function dayWords(wet: ReturnType<typeof wetHours>, light: Daylight | null, zone: string): string {
  return [
    wet ? `rain ${wet.percent} %, ${showTime(wet.from, zone)} to ${showTime(wet.until, zone)}` : "",
    light ? `light ${showTime(light.from, zone)} to ${showTime(light.until, zone)}` : "",
  ]
    .filter(Boolean)
    .join("; ");
}
