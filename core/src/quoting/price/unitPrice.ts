import { exact, roundProduct } from "../../exact/decimal";
import type { MarkupInput } from "./input";

/**
 * A selling price from a cost and a markup table: the first band the cost fits, never cheaper than a lower band's
 * dearest where the table says so, raised to the wanted ending.
 *
 * @param cost - cents.
 * @returns Cents.
 * @see calculations.md, price, rule 1
 */
export function unitPriceFromCost(cost: bigint, table: MarkupInput): bigint {
  let floor = 0n;
  for (const { upTo, times } of table.bands) {
    const limit = upTo ?? null;
    if (limit === null || cost <= BigInt(limit)) {
      const price = roundProduct(cost, exact(times));
      return withEnding(price > floor ? price : floor, table.ending ?? null);
    }
    const dearest = roundProduct(BigInt(limit), exact(times));
    if (table.neverCheaper === true && dearest > floor) floor = dearest;
  }
  throw new RangeError("a markup table must end with a band without a limit");
}

function withEnding(price: bigint, ending: number | null): bigint {
  if (ending === null) return price;
  const candidate = price - (price % 100n) + BigInt(ending);
  return candidate < price ? candidate + 100n : candidate;
}
