import type { MoneyRules } from "./moneyRules";
import { settled } from "./jobsOfQuote";
import type { QuoteLine } from "./quoteLine";
import type { Job, QuoteSlice } from "./slice";
import { standingTable } from "./standingTable";
import { withStandingRates } from "./standingRate";

/**
 * A quote as other rules price it: rates that stand by themselves, tables and fees are theirs; hours, quantities, costs and
 * what was typed stay. A part whose table is gone goes by the one that stands for its kind. Its taxes are its own.
 */
export function underRules<Quote extends Pick<QuoteSlice, "rules" | "jobs">>(quote: Quote, rules: MoneyRules): Quote {
  const { taxes } = quote.rules.pricing;
  const next: MoneyRules = { ...rules, pricing: { ...rules.pricing, taxes } };
  const jobs = quote.jobs.map((job): Job =>
    withStandingRates(
      { ...job, lines: job.lines.filter((line) => !isFormerFee(line, next)).map((line) => underTables(line, next)) },
      next,
    ),
  );
  return { ...quote, rules: next, ...settled({ rules: next, jobs }, jobs) };
}

/** A fee that hung there by a rule there is no more; one whose price was typed stays. */
function isFormerFee(line: QuoteLine, { fees = [] }: MoneyRules): boolean {
  if (line.kind !== "fee" || line.feeId === undefined || line.priceByHand) return false;
  return !fees.some(({ id }) => id === line.feeId);
}

function underTables(line: QuoteLine, rules: MoneyRules): QuoteLine {
  if (line.kind !== "part" || line.markup === null) return line;
  if (Object.hasOwn(rules.pricing.markup ?? {}, line.markup)) return line;
  return { ...line, markup: standingTable(rules, { partKind: line.partKind }) };
}
