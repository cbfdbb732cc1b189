import { tenThousandths } from "@mechanon/core";

const MOST = 100_000;

/**
 * Hours or a quantity from what was typed.
 * @returns null when it is no number from 0 up with at most 4 decimals.
 * @example
 * readAmount(" 7.6 ") //=> 7.6
 */
export function readAmount(typed: string): number | null {
  if (!/^\s*\d+(\.\d+)?\s*$/.test(typed)) return null;
  const amount = Number(typed);
  return amount <= MOST && tenThousandths(amount) !== null ? amount : null;
}
