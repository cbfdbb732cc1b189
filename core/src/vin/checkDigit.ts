const WEIGHTS = [8, 7, 6, 5, 4, 3, 2, 10, 0, 9, 8, 7, 6, 5, 4, 3, 2];
const VALUES: Readonly<Record<string, number>> = Object.fromEntries([
  ..."0123456789".split("").map((digit, value) => [digit, value] as const),
  ..."ABCDEFGH".split("").map((letter, index) => [letter, index + 1] as const),
  ..."JKLMN".split("").map((letter, index) => [letter, index + 1] as const),
  ["P", 7] as const,
  ["R", 9] as const,
  ..."STUVWXYZ".split("").map((letter, index) => [letter, index + 2] as const),
]);

/** 0-based place of the check digit in a VIN. */
export const CHECK_DIGIT_INDEX = 8;

/**
 * The check digit a VIN should carry in position 9.
 *
 * @param vin - 17 cleaned characters.
 * @returns `0`-`9` or `X`; null when the length is not 17 or another position holds a character no VIN has.
 * @see 49 CFR 565.15(c)
 * @example
 * expectedCheckDigit("11111111111111111") //=> "1"
 */
export function expectedCheckDigit(vin: string): string | null {
  if (vin.length !== WEIGHTS.length) return null;
  let sum = 0;
  for (let index = 0; index < WEIGHTS.length; index++) {
    if (index === CHECK_DIGIT_INDEX) continue;
    const value = VALUES[vin.charAt(index)];
    if (value === undefined) return null;
    sum += value * (WEIGHTS[index] ?? 0);
  }
  const rest = sum % 11;
  return rest === 10 ? "X" : String(rest);
}
