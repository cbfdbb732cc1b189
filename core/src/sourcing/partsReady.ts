import type { QuoteSlice } from "../quoting/slice";
import { approvedParts } from "./partStatus";
import type { SourcingSlice } from "./slice";

/** When the parts of approved jobs are there. */
export interface PartsReady {
  /** The last that is on order and promised; null: none is. */
  readyAt: string | null;
  /** Parts nobody promised a time for: on order without one, or not ordered. */
  unknown: number;
}

/** When the parts of approved jobs are there; those in hand are no matter. */
export function partsReady(state: QuoteSlice & SourcingSlice): PartsReady {
  const promised = approvedParts(state, "ordered").map(({ id }) =>
    state.orders
      .filter(({ items }) => items.some(({ lineId }) => lineId === id))
      .reduce<string | null>(
        (last, { readyAt }) => (readyAt !== null && (last === null || readyAt > last) ? readyAt : last),
        null,
      ),
  );
  const known = promised.filter((at) => at !== null);
  return {
    readyAt: known.reduce<string | null>((last, at) => (last === null || at > last ? at : last), null),
    unknown: promised.length - known.length + approvedParts(state, "needed").length,
  };
}
