import type { Measure } from "@mechanon/core";

/** More values than these are typed. */
const MOST_CHOICES = 14;
const AROUND = 6;

/**
 * Values of a measure worth a tap each, the smallest first: all there are, or those around the likely one.
 *
 * @param likely - what it was last time, or should be; null: where its stepper begins.
 * @returns empty where it is typed: a date, or figures too far apart.
 */
export function valueChoices(measure: Measure, likely: number | null): number[] {
  const { kind, step, most, start, watchBelow, actBelow } = measure;
  if (kind === "dotDate" || kind === "ratedAmps" || kind === "crankingAmps") return [];
  const least = smallest(measure);
  const coarse = kind === "pad" ? 1 : step;
  const all = Math.floor((most - least) / coarse) + 1;
  if (all <= MOST_CHOICES) return ladder(least, coarse, all);
  const near = likely ?? start;
  const limits = [watchBelow, actBelow].filter((limit) => limit !== null);
  const low = Math.min(near - AROUND * coarse, ...limits.filter((limit) => limit > near - 2 * AROUND * coarse));
  const from = Math.max(least, Math.floor(Math.round((low / coarse) * 1000) / 1000) * coarse);
  return ladder(from, coarse, MOST_CHOICES).filter((value) => value <= most);
}

function smallest({ kind, start, step }: Measure): number {
  // A freeze point and a temperature go below zero; the rest does not.
  return kind === "freezePoint" || kind === "temperature" ? start - AROUND * step : 0;
}

function ladder(from: number, step: number, count: number): number[] {
  return Array.from({ length: count }, (_, place) => Math.round((from + place * step) * 1000) / 1000);
}
