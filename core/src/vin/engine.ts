import type { VinFacts, VinField } from "./table/fields";
import type { VinTable } from "./table/read";

/** The engine as far as it is known; what is not known is null and asked of a person. */
export interface VinEngine {
  /** Liters, at most 3 decimals. */
  displacementL: number | null;
  cylinders: number | null;
  configuration: string | null;
  fuel: string | null;
  horsepower: number | null;
  turbo: boolean | null;
}

const CUBIC_CENTIMETERS_PER_LITER = 1000;
const CUBIC_CENTIMETERS_PER_CUBIC_INCH = 16.387064;

/**
 * Puts the engine together from what the VIN's own patterns say, then from the engine's name.
 *
 * @param facts - from the VIN's patterns.
 */
export function describeEngine(facts: VinFacts, table: VinTable): VinEngine {
  const byName = facts.engineModel === undefined ? null : table.engineFacts(facts.engineModel);
  const fact = (field: VinField): string | null => facts[field] ?? byName?.[field] ?? null;
  const turbo = fact("turbo");
  return {
    displacementL: displacement(facts) ?? (byName ? displacement(byName) : null),
    cylinders: wholeNumber(fact("cylinders")),
    configuration: fact("configuration"),
    fuel: fact("fuel"),
    horsepower: positive(fact("horsepower")),
    turbo: turbo === null ? null : turbo === "Yes",
  };
}

function displacement(facts: VinFacts): number | null {
  const liters = positive(facts.liters ?? null);
  if (liters !== null) return toThousandths(liters);
  const cubicCentimeters = positive(facts.cubicCentimeters ?? null);
  if (cubicCentimeters !== null) return toThousandths(cubicCentimeters / CUBIC_CENTIMETERS_PER_LITER);
  const cubicInches = positive(facts.cubicInches ?? null);
  return cubicInches === null
    ? null
    : toThousandths((cubicInches * CUBIC_CENTIMETERS_PER_CUBIC_INCH) / CUBIC_CENTIMETERS_PER_LITER);
}

function toThousandths(value: number): number {
  return Math.round(value * 1000) / 1000;
}

function positive(text: string | null): number | null {
  const value = text === null ? NaN : Number(text);
  return Number.isFinite(value) && value > 0 ? value : null;
}

function wholeNumber(text: string | null): number | null {
  const value = positive(text);
  return value !== null && Number.isInteger(value) ? value : null;
}
