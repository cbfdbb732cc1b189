import type { z } from "zod";
import type { PricingContext } from "./editQuote";
import type { addStockPartSchema, takeFromVanSchema, takeOfferSchema } from "./editSchemas";
import { changeJob, changeLineOf, refuse, requireBounds, requireNewLine, requireRoom, type Jobs } from "./jobsOfQuote";
import type { StockItem } from "../stock/stockItem";
import type { PartLine } from "./quoteLine";
import type { QuoteSlice } from "./slice";
import { standingTable } from "./standingTable";

/** What a part of a van is put on a quote with. */
export interface StockContext extends PricingContext {
  settings: PricingContext["settings"] & { stock: readonly StockItem[] };
}

/** Puts a part of a van on a job, at the house's price for it. @throws {Refusal} when it is on no van any more. */
export function addStockPart(
  state: QuoteSlice,
  { jobId, lineId, itemId, quantity }: z.output<typeof addStockPartSchema>,
  { settings }: StockContext,
): Jobs {
  requireNewLine(state, lineId);
  const item = settings.stock.find(({ id }) => id === itemId);
  if (!item) throw refuse("part/not-on-van");
  const line: PartLine = {
    ...{ id: lineId, kind: "part", description: item.title, quantity },
    ...vanPart(item, state.rules),
  };
  requireBounds(line);
  return changeJob(state, jobId, (job) => {
    requireRoom(job);
    return { ...job, lines: [...job.lines, line] };
  });
}

/** Says that parts of the quote are the van's. @throws {Refusal} when one is on no van any more, or is no part. */
export function takeFromVan(
  state: QuoteSlice,
  { parts }: z.output<typeof takeFromVanSchema>,
  { settings }: StockContext,
): Jobs {
  let { jobs } = state;
  for (const { lineId, itemId } of parts) {
    const item = settings.stock.find(({ id }) => id === itemId);
    if (!item) throw refuse("part/not-on-van");
    ({ jobs } = changeLineOf({ ...state, jobs }, lineId, (line) => {
      if (line.kind !== "part") throw refuse("line/figure-does-not-fit");
      const after = { ...line, ...vanPart(item, state.rules) };
      const kept = line.priceByHand ? { ...after, priceCents: line.priceCents, markup: line.markup } : after;
      requireBounds(kept);
      return kept;
    }));
  }
  return { jobs };
}

/** What a part is once it is the van's; a line keeps its own name and count. */
function vanPart(
  { id: itemId, brand, partNumber, partKind, costCents, priceCents }: StockItem,
  rules: QuoteSlice["rules"],
): Pick<PartLine, "brand" | "partNumber" | "partKind" | "costCents" | "priceCents" | "markup" | "from"> {
  const markup = costCents === null ? null : standingTable(rules, { partKind });
  return { brand, partNumber, partKind, costCents, priceCents, markup, from: { of: "van", itemId } };
}

/** Prices a part by what a supplier asks for it today; a price that was typed stays. @throws {Refusal} when it is no part. */
export function takeOffer(
  state: QuoteSlice,
  { lineId, supplierId, costCents, at }: z.output<typeof takeOfferSchema>,
): Jobs {
  return changeLineOf(state, lineId, (line) => {
    if (line.kind !== "part") throw refuse("line/figure-does-not-fit");
    const markup = standingTable(state.rules, { partKind: line.partKind, supplierId });
    const after: PartLine = {
      ...line,
      costCents,
      markup,
      priceCents: line.priceByHand || markup === null ? line.priceCents : null,
      from: { of: "offer", supplierId, at },
    };
    requireBounds(after);
    return after;
  });
}
