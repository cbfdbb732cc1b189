import { exact, roundPercent } from "../exact/decimal";
import { ownPrices, seenNow, type SeenOfJob } from "../quoting/ownPrices";
import type { MoneyRules } from "../quoting/moneyRules";
import type { Job, QuoteSlice } from "../quoting/slice";
import { jobTotals } from "../quoting/totals";

/** What became of a job since its yes: as it was agreed, and as it is. */
export interface YesChange {
  before: SeenOfJob;
  now: SeenOfJob;
  /** The owner's tolerance covers it: nobody is asked. */
  isTolerated: boolean;
  /** What is another now. */
  differs: ("price" | "parts" | "payer")[];
}

/**
 * What of a job is another than the yes to it was for; null: nothing that needs a new one. A lower price needs none where
 * the parts are the same.
 */
export function yesChange(quote: QuoteSlice, { id, answer }: Pick<Job, "id" | "answer">): YesChange | null {
  const now = answer?.value === "yes" ? seenNow(quote, id) : null;
  if (!answer || !now) return null;
  // Of what was agreed before more was kept there is the total alone, with its share of what was taken off the whole.
  if (!answer.seen) {
    const cents = jobTotals(quote).get(id) ?? 0;
    if (cents === answer.totalCents) return null;
    const before = { ...now, cents: answer.totalCents };
    return { before, now: { ...now, cents }, isTolerated: false, differs: ["price"] };
  }
  const before = answer.seen;
  const isDearer = now.cents > before.cents;
  const hasOtherParts = before.parts.join("\n") !== now.parts.join("\n");
  const hasOtherPayer = before.payerId !== now.payerId;
  if (!isDearer && !hasOtherParts && !hasOtherPayer) return null;
  return {
    before,
    now,
    isTolerated:
      !hasOtherParts && !hasOtherPayer && now.cents - before.cents <= toleratedCents(before.cents, quote.rules),
    differs: [
      ...(isDearer ? (["price"] as const) : []),
      ...(hasOtherParts ? (["parts"] as const) : []),
      ...(hasOtherPayer ? (["payer"] as const) : []),
    ],
  };
}

/**
 * How much above a price a yes still holds, by the owner's rule.
 *
 * @example toleratedCents(20000, { tolerance: { percent: 10, amountCents: 1500 } }) //=> 1500
 */
export function toleratedCents(cents: number, { tolerance }: Pick<MoneyRules, "tolerance">): number {
  if (!tolerance) return 0;
  const { percent, amountCents } = tolerance;
  const share = percent === undefined ? null : Number(roundPercent(BigInt(cents), exact(percent)));
  if (share === null) return amountCents ?? 0;
  return amountCents === undefined ? share : Math.min(share, amountCents);
}

/** What a job costs as its answer is taken: its own price. @returns Cents. */
export function askedCents(quote: QuoteSlice, jobId: string): number {
  return ownPrices(quote).jobs.get(jobId) ?? 0;
}
