import { oncePerQuote } from "./oncePerQuote";
import { explainQuote, type ExplainedQuote } from "./price/explainQuote";
import { creditsOf, toPriceInput } from "./priceWorkOrder";
import type { QuoteSlice } from "./slice";

/** Every figure of a quote with how it came about; once per state, however often it is asked. */
export const explainedWorkOrder: (quote: QuoteSlice) => ExplainedQuote = oncePerQuote((quote) =>
  explainQuote(toPriceInput(quote, "all", creditsOf(quote))),
);
