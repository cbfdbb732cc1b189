import { exact, roundProduct } from "../../exact/decimal";
import type { MarkupInput } from "./input";
import { unitPriceFromCost } from "./unitPrice";

/** How a selling price came out of a markup table; money in cents. */
export interface ExplainedUnitPrice {
  cost: number;
  /** The band the cost fits. */
  band: { upTo: number | null; times: number };
  /** Cost times the band's factor. */
  plain: number;
  /** The lower band whose dearest part sells for more; null: none does. */
  floor: { upTo: number; times: number; price: number } | null;
  /** The last two digits it was raised to; null: as it came out. */
  ending: number | null;
  price: number;
}

/**
 * How `unitPriceFromCost` comes to its price.
 * @see calculations.md, price, rule 1
 */
export function explainUnitPrice(cost: number, table: MarkupInput): ExplainedUnitPrice {
  const price = Number(unitPriceFromCost(BigInt(cost), table));
  const at = table.bands.findIndex(({ upTo }) => (upTo ?? null) === null || cost <= (upTo ?? 0));
  const band = table.bands[at] ?? { upTo: null, times: 1 };
  const plain = Number(roundProduct(BigInt(cost), exact(band.times)));
  const lower = table.neverCheaper === true ? table.bands.slice(0, Math.max(at, 0)) : [];
  const floor = lower.reduce<ExplainedUnitPrice["floor"]>((dearest, { upTo, times }) => {
    const most = Number(roundProduct(BigInt(upTo ?? 0), exact(times)));
    return most > (dearest?.price ?? plain) ? { upTo: upTo ?? 0, times, price: most } : dearest;
  }, null);
  const before = floor?.price ?? plain;
  return {
    cost,
    band: { upTo: band.upTo ?? null, times: band.times },
    plain,
    floor,
    ending: price === before ? null : (table.ending ?? null),
    price,
  };
}
