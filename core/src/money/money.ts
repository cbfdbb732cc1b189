import { showWhole } from "../text/showWhole";

/**
 * Cents as people read them, always with both decimals.
 * @example
 * showMoney(123456) //=> "$1,234.56"
 */
export function showMoney(cents: number): string {
  const magnitude = Math.abs(cents);
  const dollars = showWhole(Math.floor(magnitude / 100));
  return `${cents < 0 ? "−" : ""}$${dollars}.${String(magnitude % 100).padStart(2, "0")}`;
}

/**
 * Cents from what was typed as dollars: `12`, `12.5`, `$1,234.56`.
 * @returns null when it is not an amount from 0 up with at most two decimals.
 */
export function readMoney(typed: string): number | null {
  const match = /^\$?\s*(\d{1,3}(?:,\d{3})*|\d+)(?:\.(\d{1,2}))?$/.exec(typed.trim());
  if (!match) return null;
  const cents = Number((match[1] ?? "").replace(/,/g, "")) * 100 + Number((match[2] ?? "").padEnd(2, "0"));
  return Number.isSafeInteger(cents) ? cents : null;
}
