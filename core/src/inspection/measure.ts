import { z } from "zod";
import { SPEC_KEYS } from "../vehicles/specs/specSheet";
import { text } from "../text/text";

/** What is measured, as far as it decides what a measure means; `other` has the owner's limits alone. */
export const MEASURE_KINDS = [
  "tread",
  "dotDate",
  "pressure",
  "pad",
  "rotor",
  "fluidWater",
  "freezePoint",
  "ratedAmps",
  "crankingAmps",
  "temperature",
  "restVolts",
  "loadVolts",
  "chargingVolts",
  "other",
] as const;
export type MeasureKind = (typeof MEASURE_KINDS)[number];

/** Units a measure can be taken in. `/32 in`: thirty-seconds of an inch. */
export const MEASURE_UNITS = ["/32 in", "mm", "psi", "V", "A", "°F", "%", ""] as const;

/** A measurement, a freeze point below zero included. */
export const measuredValue = z.number().min(-200).max(100_000).refine(hasFourDecimals, "has more than 4 decimals");

function hasFourDecimals(value: number): boolean {
  return Math.abs(Math.round(value * 10_000) - value * 10_000) < 1e-6;
}

const limit = measuredValue.nullable().default(null);

/** Something measured at a point; beyond the owner's limits the grade follows by itself. */
export const measure = z.object({
  key: text(30).min(1),
  name: text(40).min(1, "a measure needs a name"),
  kind: z.enum(MEASURE_KINDS).default("other"),
  unit: z.string().max(12),
  /** What a tap of the stepper changes. */
  step: z.number().positive().max(1000),
  /** Where the stepper begins. */
  start: measuredValue,
  /** What a new one has; more is asked about. */
  most: measuredValue,
  watchBelow: limit,
  actBelow: limit,
  watchAbove: limit,
  actAbove: limit,
  /** What of the car's spec sheet it is held against. */
  carLimit: z.enum(SPEC_KEYS).nullable().default(null),
  /** The point stays open without it. */
  isMust: z.boolean().default(false),
});
export type Measure = z.infer<typeof measure>;

/** What the law allows at least, by what is measured; the owner's limits can be stricter, never softer. */
export interface LegalLimit {
  least: number;
  source: string;
}

const MM_PER_32ND = 25.4 / 32;
const LEAST_TREAD_32NDS = 2;

/**
 * The law's limit of a measure; null: it has none.
 *
 * @returns in the measure's own unit.
 * @see 49 CFR 570.9(a): tread of less than 2/32 inch
 */
export function legalLimit({ kind, unit }: Pick<Measure, "kind" | "unit">): LegalLimit | null {
  if (kind !== "tread") return null;
  const least = unit === "mm" ? Math.round(LEAST_TREAD_32NDS * MM_PER_32ND * 10) / 10 : LEAST_TREAD_32NDS;
  return { least, source: "49 CFR 570.9" };
}

/** Tread from one of its two units in the other, to a tenth. @example treadIn("mm", 4) //=> 3.2 */
export function treadIn(unit: "mm" | "/32 in", value: number): number {
  const turned = unit === "mm" ? value * MM_PER_32ND : value / MM_PER_32ND;
  return Math.round(turned * 10) / 10;
}

/** What is wrong with the owner's limits of a measure; null: nothing. */
export function limitsFault(given: Measure): string | null {
  const { watchBelow, actBelow, watchAbove, actAbove } = given;
  if (watchBelow !== null && actBelow !== null && actBelow > watchBelow)
    return "act now begins below where watch begins";
  if (watchAbove !== null && actAbove !== null && actAbove < watchAbove)
    return "act now begins above where watch begins";
  const legal = legalLimit(given);
  if (legal && actBelow !== null && actBelow < legal.least)
    return `the law wants at least ${legal.least} (${legal.source}); act now cannot begin lower`;
  return null;
}
