import {
  CalcError,
  askedQuote,
  quoteTotalCents,
  underRules,
  type MoneyRules,
  type WorkOrderState,
} from "@mechanon/core";

/**
 * What a quote nobody agreed to would come to by the rules of today, in cents, under its own taxes.
 * @returns null where somebody agreed to some of it, or it cannot be priced so.
 */
export function priceOfToday(state: WorkOrderState, rules: MoneyRules): number | null {
  const isAgreed = state.jobs.some(({ answer, finishedAt }) => answer?.value === "yes" || finishedAt !== null);
  if (isAgreed || state.jobs.length === 0) return null;
  try {
    return quoteTotalCents(underRules(askedQuote(state), rules));
  } catch (error) {
    if (error instanceof CalcError) return null;
    throw error;
  }
}
