import { CalcError } from "../calc/error";
import { readTireAge } from "../vehicles/tire/tireAge";
import { treadIn, type Measure } from "./measure";

/** Why a measurement is asked about before it is taken. */
export interface MeasureDoubt {
  why: "moreThanNew" | "grewBack" | "noDate" | "tooSmall";
  /** What was probably meant, in the measure's unit; null: nothing is likelier. */
  likely: number | null;
}

const MM_PER_INCH = 25.4;
/** A pad measured below this was in inches, or is down to its plate. */
const INCHES_BELOW_MM = 1;
const LEEWAY = 1;

/**
 * Why a measurement hardly is right.
 *
 * @param before - what it was last time; null: it was not measured.
 * @param today - ISO date.
 * @returns null when it fits.
 */
export function measureDoubt(
  measure: Measure,
  value: number,
  before: number | null,
  today: string,
): MeasureDoubt | null {
  if (measure.kind === "dotDate") return isDate(value, today) ? null : { why: "noDate", likely: null };
  if (value > measure.most) return { why: "moreThanNew", likely: likelyLess(measure, value) };
  if (isInInches(measure, value)) return { why: "tooSmall", likely: rounded(value * MM_PER_INCH, measure.step) };
  const wears = measure.kind === "tread" || measure.kind === "pad" || measure.kind === "rotor";
  if (wears && before !== null && value > before + LEEWAY) return { why: "grewBack", likely: null };
  return null;
}

function isDate(value: number, today: string): boolean {
  try {
    readTireAge(String(value).padStart(4, "0"), today);
    return true;
  } catch (error) {
    if (error instanceof CalcError) return false;
    throw error;
  }
}

/** A digit too many, or millimeters where 32nds are asked. */
function likelyLess({ kind, unit, most }: Measure, value: number): number | null {
  if (value / 10 <= most) return rounded(value / 10, 0.1);
  const turned = kind === "tread" && unit === "mm" ? treadIn("mm", value) : null;
  return turned !== null && turned <= most ? turned : null;
}

function isInInches({ kind, unit, most }: Measure, value: number): boolean {
  if (unit !== "mm" || value <= 0 || Number.isInteger(value)) return false;
  if (kind === "rotor") return value < 3 && value * MM_PER_INCH <= most;
  return kind === "pad" && value < INCHES_BELOW_MM && value * MM_PER_INCH <= most && value * MM_PER_INCH > 2;
}

function rounded(value: number, step: number): number {
  return Math.round(Math.round(value / step) * step * 10_000) / 10_000;
}
