import type { QuoteSlice } from "./slice";

/**
 * A question about a quote that is worked out once for the same jobs under the same rules, however often and by whomever
 * it is asked: a state is never changed in place, so the list of jobs stands for what is in it.
 */
export function oncePerQuote<Answer>(workOut: (quote: QuoteSlice) => Answer): (quote: QuoteSlice) => Answer {
  const known = new WeakMap<QuoteSlice["jobs"], { rules: unknown; taxExempt: boolean; answer: Answer }>();
  return (quote) => {
    const { rules, taxExempt, jobs } = quote;
    const before = known.get(jobs);
    if (before && before.rules === rules && before.taxExempt === taxExempt) return before.answer;
    const answer = workOut(quote);
    known.set(jobs, { rules, taxExempt, answer });
    return answer;
  };
}
