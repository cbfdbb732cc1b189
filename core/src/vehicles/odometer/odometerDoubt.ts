import { couldFollow } from "./couldFollow";
import { predictMiles, type OdometerReading, type OdometerTrend } from "./odometerTrend";

/** Why a reading is asked about before it is taken. */
export interface OdometerDoubt {
  why: "less" | "more" | "none";
  /** What was read last and fits what was read before; null where nothing was. */
  last: OdometerReading | null;
  /** What was probably meant: a digit too many, too few, or two of them swapped. */
  likelyMiles: number | null;
}

export const MOST_MILES = 2_000_000;
/** More than so many times the miles expected since the last reading is asked about. */
const MOST_TIMES_EXPECTED = 4;
const LEEWAY_MILES = 1_500;
/** Hardly any car gets there; without a reading before it, a digit too many is likelier. */
const MANY_MILES = 400_000;

/**
 * What a typed reading says.
 *
 * @returns null when it is no whole number of miles up to two million; thousands may be set apart by commas or blanks.
 * @example
 * readOdometer("61,240") //=> 61240
 * readOdometer("1e5") //=> null
 */
export function readOdometer(typed: string): number | null {
  const text = typed.trim();
  if (!/^(\d{1,7}|\d{1,3}([,  ]\d{3})+)$/.test(text)) return null;
  const miles = Number(text.replace(/\D/g, ""));
  return miles <= MOST_MILES ? miles : null;
}

/**
 * Why a reading hardly is right, beside the car's others: it is asked where it is typed.
 *
 * @param trend - of the readings before it.
 * @returns null when it fits.
 */
export function odometerDoubt(trend: OdometerTrend, { miles, at }: OdometerReading): OdometerDoubt | null {
  const last = trend.readings.at(-1) ?? null;
  const why = doubtOf(trend, last, miles, at);
  if (why === null) return null;
  const likely = meant(miles).find((each) => last !== null && doubtOf(trend, last, each, at) === null);
  return { why, last, likelyMiles: likely ?? null };
}

function doubtOf(
  trend: OdometerTrend,
  last: OdometerReading | null,
  miles: number,
  at: string,
): OdometerDoubt["why"] | null {
  if (miles === 0) return "none";
  if (last === null) return miles > MANY_MILES ? "more" : null;
  if (miles < last.miles) return "less";
  const expected = Math.max(0, (predictMiles(trend, at) ?? last.miles) - last.miles);
  const isFar = miles - last.miles > LEEWAY_MILES + MOST_TIMES_EXPECTED * expected;
  return isFar || !couldFollow(last, { miles, at }) ? "more" : null;
}

/** What slips of a finger make of a number, taken back: a digit more, one less, two swapped. */
function meant(miles: number): number[] {
  const digits = String(miles);
  const places = [...digits].map((_, place) => place);
  const without = places.map((place) => digits.slice(0, place) + digits.slice(place + 1));
  const swapped = places
    .slice(1)
    .map(
      (place) =>
        digits.slice(0, place - 1) + (digits[place] ?? "") + (digits[place - 1] ?? "") + digits.slice(place + 1),
    );
  return [Math.floor(miles / 10), miles * 10, ...[...without, ...swapped].map(Number)].filter(
    (each) => each !== miles && each > 0 && each <= MOST_MILES,
  );
}
