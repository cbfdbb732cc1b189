import { exact, roundProduct } from "../exact/decimal";

/**
 * What an order comes to, each item rounded to the cent.
 *
 * @param items - quantities with at most 4 decimals, cost of one in cents.
 * @returns Cents; null when a cost is not known to whoever looks.
 * @example
 * orderCostCents([{ quantity: 2, costCents: 4180 }, { quantity: 0.5, costCents: 333 }]) //=> 8527
 */
export function orderCostCents(items: readonly { quantity: number; costCents: number | null }[]): number | null {
  let total = 0n;
  for (const { quantity, costCents } of items) {
    if (costCents === null) return null;
    total += roundProduct(BigInt(costCents), exact(quantity));
  }
  return Number(total);
}
