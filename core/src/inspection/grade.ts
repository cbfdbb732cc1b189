import { readTireAge } from "../vehicles/tire/tireAge";
import { CalcError } from "../calc/error";
import type { CarFacts } from "../laborGuide/carFacts";
import { legalLimit, type Measure } from "./measure";
import type { InspectionPoint } from "./point";
import { BAD_GRADES, type BadGrade, type Grade } from "./slice";
import { unevenWear } from "./unevenWear";

/** What of the car a measure is held against, and the day. */
export interface MeasuredOn {
  specs: CarFacts["specs"];
  /** ISO date. */
  today: string;
}

/** Why a measure speaks for a grade. */
export type MeasureReason =
  | { by: "law"; least: number }
  | { by: "car"; limit: number }
  | { by: "owner"; limit: number; side: "below" | "above" }
  | { by: "age"; years: number }
  | { by: "share"; percent: number }
  | { by: "uneven"; spread: number };

export interface MeasureVerdict {
  /** null: nothing is said against it. */
  grade: BadGrade | null;
  reason: MeasureReason | null;
}

const FINE: MeasureVerdict = { grade: null, reason: null };
/** A rotor may lose so much until the next visit; nearer to its minimum it is watched. */
const ROTOR_WATCH_MM = 0.5;
const PRESSURE_WATCH_PSI = 3;
const PRESSURE_ACT_PSI = 8;
/** Of the rated cranking amps. */
const CRANKING_WATCH_PERCENT = 85;
const CRANKING_ACT_PERCENT = 70;

/**
 * What one measurement speaks for: the law's limit, the car's own, then the owner's.
 *
 * @param all - what else was measured at the point.
 */
export function verdictOf(
  measure: Measure,
  value: number,
  all: Readonly<Record<string, number>>,
  measures: readonly Measure[],
  { specs, today }: MeasuredOn,
): MeasureVerdict {
  const legal = legalLimit(measure);
  if (legal && value < legal.least) return { grade: "unsafe", reason: { by: "law", least: legal.least } };
  const ofCar = measure.carLimit === null ? null : Number(specs[measure.carLimit]?.value);
  const byCar = ofCar !== null && Number.isFinite(ofCar) ? againstCar(measure, value, ofCar) : FINE;
  if (byCar.grade) return byCar;
  if (measure.kind === "dotDate") return byAge(value, today);
  if (measure.kind === "crankingAmps") return againstRated(value, valueOf("ratedAmps", all, measures));
  if (measure.kind === "loadVolts") return underLoad(value, valueOf("temperature", all, measures));
  return byOwner(measure, value);
}

function againstCar({ kind }: Measure, value: number, limit: number): MeasureVerdict {
  const reason: MeasureReason = { by: "car", limit };
  if (kind === "pressure") {
    const off = Math.abs(value - limit);
    if (off >= PRESSURE_ACT_PSI) return { grade: "act", reason };
    return off >= PRESSURE_WATCH_PSI ? { grade: "watch", reason } : FINE;
  }
  // The thickness at which it is thrown away stands on it; below it is not safe.
  if (value < limit) return { grade: kind === "rotor" ? "unsafe" : "act", reason };
  return kind === "rotor" && value < limit + ROTOR_WATCH_MM ? { grade: "watch", reason } : FINE;
}

function byOwner({ watchBelow, actBelow, watchAbove, actAbove }: Measure, value: number): MeasureVerdict {
  const below = (limit: number): MeasureReason => ({ by: "owner", limit, side: "below" });
  const above = (limit: number): MeasureReason => ({ by: "owner", limit, side: "above" });
  if (actBelow !== null && value < actBelow) return { grade: "act", reason: below(actBelow) };
  if (actAbove !== null && value > actAbove) return { grade: "act", reason: above(actAbove) };
  if (watchBelow !== null && value < watchBelow) return { grade: "watch", reason: below(watchBelow) };
  if (watchAbove !== null && value > watchAbove) return { grade: "watch", reason: above(watchAbove) };
  return FINE;
}

/** @param value - week and year as they stand on the tire: 2319. */
function byAge(value: number, today: string): MeasureVerdict {
  try {
    const { standing, ageMonths } = readTireAge(String(value).padStart(4, "0"), today);
    const reason: MeasureReason = { by: "age", years: Math.floor(ageMonths / 12) };
    if (standing === "good") return FINE;
    return { grade: standing === "old" ? "act" : "watch", reason };
  } catch (error) {
    // A code that is no date says nothing about the tire; it is asked about where it is typed.
    if (error instanceof CalcError) return FINE;
    throw error;
  }
}

function againstRated(value: number, rated: number | null): MeasureVerdict {
  if (rated === null || rated <= 0) return FINE;
  const percent = Math.round((value / rated) * 100);
  const reason: MeasureReason = { by: "share", percent };
  if (percent < CRANKING_ACT_PERCENT) return { grade: "act", reason };
  return percent < CRANKING_WATCH_PERCENT ? { grade: "watch", reason } : FINE;
}

/** Least volts after fifteen seconds under half the rated cranking amps, by degrees Fahrenheit. @see BCI load test table */
const LEAST_UNDER_LOAD: readonly (readonly [fahrenheit: number, volts: number])[] = [
  [70, 9.6],
  [60, 9.5],
  [50, 9.4],
  [40, 9.3],
  [30, 9.1],
  [20, 8.9],
  [10, 8.7],
  [0, 8.5],
];
const COLDEST_VOLTS = 8.5;

function underLoad(value: number, fahrenheit: number | null): MeasureVerdict {
  const at = fahrenheit ?? 70;
  const limit = LEAST_UNDER_LOAD.find(([degrees]) => at >= degrees)?.[1] ?? COLDEST_VOLTS;
  return value < limit ? { grade: "act", reason: { by: "owner", limit, side: "below" } } : FINE;
}

function valueOf(
  kind: Measure["kind"],
  all: Readonly<Record<string, number>>,
  measures: readonly Measure[],
): number | null {
  const key = measures.find((each) => each.kind === kind)?.key;
  return key === undefined ? null : (all[key] ?? null);
}

/**
 * The grade the measurements of a point speak for, by the law's limits, the car's, and the owner's; the worst counts.
 *
 * @param measured - by the keys of the point's measures, in their units.
 * @returns null where nothing was measured.
 * @example
 * gradeFromMeasures({ measures: [{ key: "value", kind: "pad", watchBelow: 5, actBelow: 3 }] }, { value: 4 }, { specs: {}, today: "2026-11-27" })
 * //=> "watch"
 */
export function gradeFromMeasures(
  { measures }: Pick<InspectionPoint, "measures">,
  measured: Readonly<Record<string, number>>,
  on: MeasuredOn,
): Grade | null {
  const taken = measures.filter(({ key }) => measured[key] !== undefined);
  if (taken.length === 0) return null;
  const grades = taken.map((each) => verdictOf(each, measured[each.key] ?? 0, measured, measures, on).grade);
  const uneven = unevenWear(measures, measured);
  return BAD_GRADES.find((grade) => grades.includes(grade)) ?? (uneven ? "watch" : "sound");
}
