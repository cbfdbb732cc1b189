import { readMoney, showMoney, type Discount } from "@mechanon/core";
import { readAmount } from "./readAmount";

const WHOLE_PERCENT = 100;

/** A discount as it would be typed: `10%` or `25.00`; none is empty. */
export function typedDiscount(off: Discount | undefined): string {
  if (!off) return "";
  return "percent" in off ? `${off.percent}%` : (off.amountCents / 100).toFixed(2);
}

/**
 * A discount from what was typed: a share with a percent sign, else an amount.
 * @returns undefined where it is neither; null for nothing.
 * @example readDiscount("10%") //=> { percent: 10 }
 */
export function readDiscount(typed: string): Discount | null | undefined {
  const trimmed = typed.trim();
  if (trimmed === "") return null;
  if (trimmed.endsWith("%")) {
    const percent = readAmount(trimmed.slice(0, -1));
    return percent === null || percent > WHOLE_PERCENT ? undefined : { percent };
  }
  const amountCents = readMoney(trimmed);
  return amountCents === null ? undefined : { amountCents };
}

/** As it is read. */
export function discountWords(off: Discount): string {
  return "percent" in off ? `${off.percent} % off` : `${showMoney(off.amountCents)} off`;
}
