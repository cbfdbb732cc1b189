import type { OdometerReading } from "@mechanon/core";

const EDGE = 6;

/** Readings as points of a drawing, time from left to right, miles from the foot up; the edges are left free. */
export function chartPoints(
  readings: readonly OdometerReading[],
  width: number,
  height: number,
): { x: number; y: number }[] {
  const times = readings.map(({ at }) => Date.parse(at));
  const miles = readings.map((reading) => reading.miles);
  const place = (value: number, values: number[], size: number): number => {
    const [least, most] = [Math.min(...values), Math.max(...values)];
    const share = most === least ? 0.5 : (value - least) / (most - least);
    return Math.round((EDGE + share * (size - 2 * EDGE)) * 10) / 10;
  };
  return readings.map((reading, index) => ({
    x: place(times[index] ?? 0, times, width),
    y: Math.round((height - place(reading.miles, miles, height)) * 10) / 10,
  }));
}
