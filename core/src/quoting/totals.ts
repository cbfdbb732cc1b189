import { oncePerQuote } from "./oncePerQuote";
import { priceWorkOrder } from "./priceWorkOrder";
import type { QuoteSlice } from "./slice";

/** Total of each job by its id, before taxes and supplies. */
export const jobTotals: (quote: QuoteSlice) => ReadonlyMap<string, number> = oncePerQuote(
  (quote) => new Map(priceWorkOrder(quote, "all").jobs.map(({ id, total }) => [id, total])),
);

/** A quote without the jobs that were put off or declined: what the customer is asked for. */
export const askedQuote: (quote: QuoteSlice) => QuoteSlice = oncePerQuote((quote) => {
  const asked = quote.jobs.filter(({ answer }) => answer?.value !== "later" && answer?.value !== "no");
  // The same list is priced already where nothing was put off.
  return asked.length === quote.jobs.length ? quote : { ...quote, jobs: asked };
});

/** What the quote comes to with supplies and taxes, jobs put off or declined left out. */
export const quoteTotalCents: (quote: QuoteSlice) => number = oncePerQuote(
  (quote) => priceWorkOrder(askedQuote(quote), "all").total,
);
