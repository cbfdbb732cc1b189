import type { CarFacts } from "../laborGuide/carFacts";
import { wearOf, type Wear, type WearReading } from "../wear/wear";
import { legalLimit, type Measure } from "./measure";

/** A measurement of before, on another work order of the car. */
export interface MeasuredBefore extends WearReading {
  pointId: string;
  key: string;
}

/** How a measured item wears, for the line that is drawn of it. */
export interface WearAhead {
  limit: number;
  /** Since it was last new, oldest first. */
  readings: WearReading[];
  wear: Wear;
}

/** More than so much thicker than last time it is a new one, whatever the unit. */
const RENEWED_BY = 1;

/** What a measure is worn down to: the car's own minimum, else where the owner acts, else the law's; null: it does not wear. */
export function wearLimit(measure: Measure, specs: CarFacts["specs"]): number | null {
  if (measure.kind !== "tread" && measure.kind !== "pad" && measure.kind !== "rotor") return null;
  const ofCar = measure.carLimit === null ? Number.NaN : Number(specs[measure.carLimit]?.value);
  if (Number.isFinite(ofCar)) return ofCar;
  return measure.actBelow ?? legalLimit(measure)?.least ?? null;
}

/**
 * How long a measured item lasts, by what was measured on the car before and now.
 *
 * @param before - of this car, in any order.
 * @param now - null: it was not measured today, or without the odometer.
 * @returns null where it does not wear, or nothing was measured.
 */
export function wearAhead(
  pointId: string,
  measure: Measure,
  { before, now, specs }: { before: readonly MeasuredBefore[]; now: WearReading | null; specs: CarFacts["specs"] },
): WearAhead | null {
  const limit = wearLimit(measure, specs);
  if (limit === null) return null;
  const all = before
    .filter((each) => each.pointId === pointId && each.key === measure.key)
    .map(({ odometer, date, value }): WearReading => ({ odometer, date, value }))
    .concat(now ?? [])
    .sort((a, b) => (a.date === b.date ? a.odometer - b.odometer : a.date < b.date ? -1 : 1));
  const readings: WearReading[] = [];
  for (const reading of all) {
    const last = readings.at(-1);
    // A reading whose odometer falls is of another car or misread; a thicker one is of a new part.
    if (last && (reading.odometer < last.odometer || reading.value > last.value + RENEWED_BY)) readings.length = 0;
    readings.push(reading);
  }
  return readings.length === 0 ? null : { limit, readings, wear: wearOf(limit, readings) };
}
