import type { TireSize } from "./tireSize";
import { readTypedTire } from "./typedTire";

/** How another tire size compares with a car's own. */
export interface TireComparison {
  original: TireSize;
  other: TireSize;
  /** Other minus original. */
  diameterDifferenceMm: number;
  diameterDifferencePercent: number;
  /** What is really driven when the speedometer shows 60 mph. */
  trueMphAt60: number;
  /** Other minus original; null where a size does not say. */
  loadDifferenceKg: number | null;
  speedDifferenceKmh: number | null;
  warnings: TireWarning[];
}

/**
 * `diameter`: beyond what speedometer and brakes are built for; `reads-low`: drives faster than shown; `load`, `speed`:
 * less than the original carries; `rim`: another wheel; `unsaid`: the size does not say load or speed.
 */
export type TireWarning = "diameter" | "reads-low" | "load" | "speed" | "rim" | "unsaid";

/** A larger difference in diameter upsets speedometer, brake control and clearance. */
const MOST_DIFFERENCE_PERCENT = 3;
const SHOWN_MPH = 60;

/**
 * Compares two tire sizes.
 * @throws {CalcError} `unreadable` for a size that is none; its path is `original` or `other`.
 */
export function compareTires(originalSize: string, otherSize: string): TireComparison {
  const original = readTypedTire(originalSize, "original");
  const other = readTypedTire(otherSize, "other");
  const ratio = other.diameterMm / original.diameterMm;
  const percent = round((ratio - 1) * 100, 1);
  const load = difference(other.loadKg, original.loadKg);
  const speed = difference(other.speedKmh, original.speedKmh);
  const warnings: TireWarning[] = [];
  if (Math.abs(percent) > MOST_DIFFERENCE_PERCENT) warnings.push("diameter");
  // The law forbids a speedometer that shows less than is driven.
  else if (percent > 0.5) warnings.push("reads-low");
  if (load !== null && load < 0) warnings.push("load");
  if (speed !== null && speed < 0) warnings.push("speed");
  if (other.rimInch !== original.rimInch) warnings.push("rim");
  if (load === null || speed === null) warnings.push("unsaid");
  return {
    original,
    other,
    diameterDifferenceMm: round(other.diameterMm - original.diameterMm, 1),
    diameterDifferencePercent: percent,
    trueMphAt60: round(SHOWN_MPH * ratio, 1),
    loadDifferenceKg: load,
    speedDifferenceKmh: speed,
    warnings,
  };
}

function difference(other: number | null, original: number | null): number | null {
  return other === null || original === null ? null : other - original;
}

function round(value: number, decimals: number): number {
  const scale = 10 ** decimals;
  // Never minus zero.
  return Math.round(value * scale) / scale + 0;
}
