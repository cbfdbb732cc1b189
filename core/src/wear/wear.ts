import { DateTime } from "luxon";
import { exact, fromTenThousandths, roundedDecimal } from "../exact/decimal";

/** One measurement of an item that wears. */
export interface WearReading {
  /** Miles. */
  odometer: number;
  /** ISO date. */
  date: string;
  /** In the item's own unit. */
  value: number;
}

/** How long a measured item lasts; null where the readings do not tell. */
export interface Wear {
  /** Above the limit, in the item's own unit. */
  remaining: number;
  /** What goes in a thousand miles, to 3 decimals. */
  unitsPer1000: number | null;
  milesLeft: number | null;
  milesPerDay: number | null;
  /** ISO date. */
  dueOn: string | null;
}

/**
 * A measured item's life, by the least-squares line through its readings.
 *
 * @param limit - what it wears down to, in its own unit.
 * @param readings - at least one, oldest first; numbers with at most 4 decimals.
 * @throws {RangeError} for a number with more decimals.
 * @see calculations.md, wear
 * @example
 * wearOf(2, [{ odometer: 40000, date: "2025-01-10", value: 8 }, { odometer: 46000, date: "2025-07-10", value: 7 }]).milesLeft //=> 30000
 */
export function wearOf(limit: number, readings: readonly WearReading[]): Wear {
  const first = readings[0];
  const last = readings.at(-1);
  if (!first || !last) throw new RangeError("a wear needs a reading");
  const above = exact(last.value) - exact(limit);
  const remaining = above > 0n ? above : 0n;
  const wear = fall(readings);
  const left = remaining === 0n ? 0n : wear && (remaining * wear.perMile.below) / wear.perMile.above / SCALE;
  const days = BigInt(Math.round(dateOf(last).diff(dateOf(first), "days").days));
  const driven = exact(last.odometer) - exact(first.odometer);
  return {
    remaining: fromTenThousandths(remaining),
    unitsPer1000: wear && roundedDecimal(wear.perMile.above * 1000n, wear.perMile.below, 3),
    milesLeft: left === null ? null : Number(left),
    milesPerDay: readings.length < 2 || days === 0n ? null : roundedDecimal(driven, days * SCALE, 1),
    // Miles left over miles a day, both exact: so many whole days.
    dueOn:
      wear && left !== null && days > 0n && driven > 0n
        ? dateOf(last)
            .plus({ days: Number((left * days * SCALE) / driven) })
            .toISODate()
        : null,
  };
}

const SCALE = 10_000n;
const dateOf = ({ date }: WearReading): DateTime => DateTime.fromISO(date, { zone: "utc" });

/** What goes a mile by the line through all readings, as a fraction; null: there is no wear to be seen. */
function fall(readings: readonly WearReading[]): { perMile: { above: bigint; below: bigint } } | null {
  const count = BigInt(readings.length);
  let [x, y, xy, xx] = [0n, 0n, 0n, 0n];
  for (const { odometer, value } of readings) {
    const [at, is] = [exact(odometer), exact(value)];
    x += at;
    y += is;
    xy += at * is;
    xx += at * at;
  }
  const below = count * xx - x * x;
  const above = x * y - count * xy;
  return below === 0n || above <= 0n ? null : { perMile: { above, below } };
}
