import type { VinVehicleKind } from "./table/source";

const YEAR_CODES = "ABCDEFGHJKLMNPRSTVWXY123456789";
const FIRST_CYCLE_YEAR = 1980;
const CYCLE_YEARS = 30;

/**
 * Model years a VIN may stand for, likeliest first. Position 10 gives the place in a 30-year cycle; for cars and light
 * trucks position 7 says which cycle (a digit: 1980-2009, a letter: 2010-2039). Years after next year are left out.
 *
 * @param vin - 17 cleaned characters.
 * @param kind - what the maker's code stands for; null when the maker is unknown.
 * @param currentYear - the calendar year it is now.
 * @returns One or two years; none when position 10 holds no year code.
 * @see 49 CFR 565.15(d)(1) and table VII
 */
export function modelYearCandidates(vin: string, kind: VinVehicleKind | null, currentYear: number): number[] {
  const place = vin.length === 17 ? YEAR_CODES.indexOf(vin.charAt(9)) : -1;
  if (place < 0) return [];
  const early = FIRST_CYCLE_YEAR + place;
  const late = early + CYCLE_YEARS;
  const latestYear = currentYear + 1;
  if (late > latestYear) return early > latestYear ? [] : [early];
  const coded = kind !== "motorcycle";
  const isEarly = /\d/.test(vin.charAt(6));
  if (!coded) return [late, early];
  return isEarly ? [early, late] : [late, early];
}

/**
 * Whether position 7 alone settles the cycle for this kind of vehicle. It does for passenger cars whatever they weigh;
 * for vans, trucks and what is built upon them only up to 10,000 lb, which the kind does not say.
 *
 * @see 49 CFR 565.15(d)(1)
 */
export function cycleIsSettled(kind: VinVehicleKind | null): boolean {
  return kind === "car" || kind === null;
}
