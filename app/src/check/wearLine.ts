import type { WearReading } from "@mechanon/core";

/** A wear drawn into a box: y grows downwards. */
export interface WearLine {
  dots: { x: number; y: number; value: number }[];
  /** As SVG points. */
  line: string;
  /** From the last reading to the limit; null: it cannot be told. */
  ahead: string | null;
  limitY: number;
}

const MARGIN = 22;

/** @returns null for fewer than two readings, or none apart from each other. */
export function wearLine(
  readings: readonly WearReading[],
  limit: number,
  milesLeft: number | null,
  { width, height }: { width: number; height: number },
): WearLine | null {
  const [first] = readings;
  const last = readings.at(-1);
  if (!first || !last || last.odometer === first.odometer) return null;
  const end = last.odometer + (milesLeft ?? 0);
  const most = Math.max(...readings.map(({ value }) => value), limit);
  const least = Math.min(...readings.map(({ value }) => value), limit);
  const x = (miles: number): number =>
    round(MARGIN + ((miles - first.odometer) / Math.max(1, end - first.odometer)) * (width - 2 * MARGIN));
  const y = (value: number): number =>
    round(MARGIN + ((most - value) / Math.max(0.001, most - least)) * (height - 2 * MARGIN));
  const dots = readings.map(({ odometer, value }) => ({ x: x(odometer), y: y(value), value }));
  const points = (some: readonly { x: number; y: number }[]): string => some.map((at) => `${at.x},${at.y}`).join(" ");
  const now = dots.at(-1);
  return {
    dots,
    line: points(dots),
    ahead: now && milesLeft !== null && milesLeft > 0 ? points([now, { x: x(end), y: y(limit) }]) : null,
    limitY: y(limit),
  };
}

const round = (value: number): number => Math.round(value * 10) / 10;
