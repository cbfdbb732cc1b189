import { approvedJobs } from "../approvals/standing";
import { oncePerQuote } from "../quoting/oncePerQuote";
import type { PricedQuote } from "../quoting/price/priceQuote";
import { priceWorkOrder } from "../quoting/priceWorkOrder";
import type { QuoteSlice } from "../quoting/slice";
import type { PaymentSlice } from "./slice";

/** What is owed on a work order, in cents. */
export interface Balance {
  /** All jobs whose yes stands, with supplies and taxes. */
  totalCents: number;
  paidCents: number;
  /** 0 or more. */
  dueCents: number;
  /** What was taken beyond the total; 0 or more. */
  overpaidCents: number;
}

/** What was agreed, paid and is owed; a card that was declined paid nothing. @returns Cents, exact. */
export function balanceOf(state: QuoteSlice & PaymentSlice): Balance {
  const totalCents = approvedQuote(state).total;
  const paidCents = state.payments.reduce(
    (sum, { status, amountCents }) => sum + (status === "taken" ? amountCents : 0),
    0,
  );
  return {
    totalCents,
    paidCents,
    dueCents: Math.max(0, totalCents - paidCents),
    overpaidCents: Math.max(0, paidCents - totalCents),
  };
}

/** The priced quote of the jobs whose yes stands; a yes for an older price does not count. */
export const approvedQuote: (quote: QuoteSlice) => PricedQuote = oncePerQuote((quote) =>
  priceWorkOrder({ ...quote, jobs: approvedJobs(quote) }, "approved"),
);
