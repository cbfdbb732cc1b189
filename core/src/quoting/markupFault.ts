import { showMoney } from "../money/money";
import { unitPriceFromCost } from "./price/unitPrice";
import type { MarkupInput } from "./price/input";

/** Where a dearer part sells for less than a cheaper one; money in cents. */
export interface MarkupDip {
  /** The dearest part of the lower band, and what it sells for. */
  cost: number;
  price: number;
  /** The next dearer part, by a cent. */
  nextCost: number;
  nextPrice: number;
}

/** Where a table would dip if nothing held its prices up. @param bands - rising, the last without a limit. */
export function markupDips({ bands, ending }: MarkupInput): MarkupDip[] {
  const priceAt = (cost: number): number => Number(unitPriceFromCost(BigInt(cost), { bands, ending }));
  return bands.flatMap(({ upTo }) => {
    const cost = upTo ?? null;
    if (cost === null) return [];
    const [price, nextPrice] = [priceAt(cost), priceAt(cost + 1)];
    return nextPrice < price ? [{ cost, price, nextCost: cost + 1, nextPrice }] : [];
  });
}

/**
 * What keeps a table from being used: bands that do not rise to one without a limit, or a dip nobody agreed to.
 * @returns null where it can be used.
 */
export function markupFault(table: MarkupInput & { mayDip: boolean }): string | null {
  const { bands, neverCheaper, mayDip } = table;
  let last = -1;
  for (const [index, { upTo }] of bands.entries()) {
    const limit = upTo ?? null;
    const isLast = index === bands.length - 1;
    if (isLast && limit !== null) return `nothing stands for a cost above ${showMoney(limit)}`;
    if (!isLast && limit === null) return "a band above one without a limit stands for nothing";
    if (limit !== null && limit <= last) return `the bands overlap at ${showMoney(limit)}`;
    last = limit ?? last;
  }
  if (bands.length === 0) return "it has no band";
  if (neverCheaper === true || mayDip) return null;
  const [dip] = markupDips(table);
  return dip
    ? `a part at ${showMoney(dip.nextCost)} would sell for ${showMoney(dip.nextPrice)}, less than one at ${showMoney(dip.cost)} for ${showMoney(dip.price)}`
    : null;
}
