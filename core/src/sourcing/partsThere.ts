import type { QuoteSlice } from "../quoting/slice";
import { approvedParts, quantityToBuy } from "./partStatus";
import type { SourcingSlice } from "./slice";

/** What a supplier has of a part, and when. */
export interface PartAvailable {
  partNumber: string;
  available: number;
  readyAt: string;
}

/**
 * From when on all parts of what was agreed are there: what is on the van now, what is ordered when its supplier said, what
 * is still to be bought when one can have it.
 *
 * @param offers - of suppliers, for what is still to be bought.
 * @param now - ISO instant.
 * @returns ISO instant; null: nobody can say.
 */
export function partsThereAt(
  state: QuoteSlice & SourcingSlice,
  offers: readonly PartAvailable[],
  now: string,
): string | null {
  const ordered = approvedParts(state, "ordered").map(({ id }) => orderReadyAt(state, id));
  const toBuy = approvedParts(state, "needed").map((line) => {
    const enough = offers.filter(
      ({ partNumber, available }) => partNumber === line.partNumber && available >= quantityToBuy(state, line),
    );
    return enough.map(({ readyAt }) => readyAt).sort()[0] ?? null;
  });
  let latest = now;
  for (const readyAt of [...ordered, ...toBuy]) {
    if (readyAt === null) return null;
    if (Date.parse(readyAt) > Date.parse(latest)) latest = readyAt;
  }
  return latest;
}

function orderReadyAt({ orders }: SourcingSlice, lineId: string): string | null {
  return orders.findLast(({ items }) => items.some((item) => item.lineId === lineId))?.readyAt ?? null;
}
