import type { QuoteSlice } from "./slice";

/** What beside the jobs decides what they come to. */
const PRICED_UNDER = ["rules", "taxExempt", "discounts", "payers"] as const satisfies readonly (keyof QuoteSlice)[];

/**
 * A question about a quote that is worked out once for the same jobs under the same rules, however often and by whomever
 * it is asked: a state is never changed in place, so the list of jobs stands for what is in it.
 */
export function oncePerQuote<Answer>(workOut: (quote: QuoteSlice) => Answer): (quote: QuoteSlice) => Answer {
  const known = new WeakMap<QuoteSlice["jobs"], { under: QuoteSlice; answer: Answer }>();
  return (quote) => {
    const before = known.get(quote.jobs);
    if (before && PRICED_UNDER.every((each) => before.under[each] === quote[each])) return before.answer;
    const answer = workOut(quote);
    known.set(quote.jobs, { under: quote, answer });
    return answer;
  };
}
