import { LINE_KINDS, askedQuote, priceWorkOrder, type LineKind, type QuoteSlice } from "@mechanon/core";

/** What the lines of each kind come to, all payers together; kinds that come to nothing left out. */
export function kindSums(quote: QuoteSlice): { kind: LineKind; cents: number }[] {
  const { payers } = priceWorkOrder(askedQuote(quote), "all");
  return LINE_KINDS.map((kind) => ({ kind, cents: payers.reduce((sum, payer) => sum + payer[kind], 0) })).filter(
    ({ cents }) => cents > 0,
  );
}
