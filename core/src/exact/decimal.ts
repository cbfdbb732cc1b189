/** Decimals carried by every quantity, hour and percent that reaches money. */
export const DECIMALS = 4;
const SCALE = 10_000n;
const SCALE_NUMBER = 10_000;
const MOST_DIGITS = 1e15;
const LARGEST_DECIMAL = 1e12;

/**
 * A JSON number with at most 4 decimals as an exact count of ten-thousandths.
 *
 * @returns null when the number has more decimals, is not finite, or is beyond 10^12.
 * @example
 * tenThousandths(1.3) //=> 13000n
 */
export function tenThousandths(value: number): bigint | null {
  if (!Number.isFinite(value) || Math.abs(value) > LARGEST_DECIMAL) return null;
  // A number of up to fifteen digits is written in one way alone: what divides back to it is what was written.
  const rounded = Math.round(value * SCALE_NUMBER);
  if (Math.abs(rounded) < MOST_DIGITS && rounded / SCALE_NUMBER === value) return BigInt(rounded);
  // The shortest text that reads back as the same number is what was written; products of floats would not be exact.
  const match = /^(-?)(\d+)(?:\.(\d+))?$/.exec(String(value));
  if (!match) return null;
  const [, sign = "", whole = "0", fraction = ""] = match;
  if (fraction.length > DECIMALS) return null;
  const scaled = BigInt(whole) * SCALE + BigInt(fraction.padEnd(DECIMALS, "0"));
  return sign === "-" ? -scaled : scaled;
}

/** {@link tenThousandths} of a value that was validated before. @returns Ten-thousandths. @throws {RangeError} when it was not. */
export function exact(value: number): bigint {
  const scaled = tenThousandths(value);
  if (scaled === null) throw new RangeError(`expected a number with at most ${DECIMALS} decimals, got ${value}`);
  return scaled;
}

/** Back from ten-thousandths to a JSON number. @example fromTenThousandths(13000n) //=> 1.3 */
export function fromTenThousandths(scaled: bigint): number {
  return Number(scaled) / Number(SCALE);
}

/**
 * Divides and rounds to the whole, halves away from zero.
 *
 * @throws {RangeError} when the denominator is not above 0.
 * @example
 * roundRatio(5n, 2n) //=> 3n
 */
export function roundRatio(numerator: bigint, denominator: bigint): bigint {
  if (denominator <= 0n) throw new RangeError("denominator must be above 0");
  const magnitude = numerator < 0n ? -numerator : numerator;
  const rounded = (2n * magnitude + denominator) / (2n * denominator);
  return numerator < 0n ? -rounded : rounded;
}

/** `cents x factor` rounded to the whole cent, the factor in ten-thousandths. */
export function roundProduct(cents: bigint, factor: bigint): bigint {
  return roundRatio(cents * factor, SCALE);
}

/** `cents x percent/100` rounded to the whole cent, the percent in ten-thousandths. */
export function roundPercent(cents: bigint, percent: bigint): bigint {
  return roundRatio(cents * percent, SCALE * 100n);
}

/**
 * A ratio as a number with a fixed count of decimals, halves away from zero.
 * @example
 * roundedDecimal(31962n * 100n, 57953n, 1) //=> 55.2
 */
export function roundedDecimal(numerator: bigint, denominator: bigint, decimals: number): number {
  const scale = 10n ** BigInt(decimals);
  return Number(roundRatio(numerator * scale, denominator)) / Number(scale);
}
