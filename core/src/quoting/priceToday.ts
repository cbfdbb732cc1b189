import { CalcError } from "../calc/error";
import type { LibraryJob } from "./libraryJob";
import type { QuoteLine } from "./quoteLine";
import type { MoneyRules } from "./moneyRules";
import { priceWorkOrder } from "./priceWorkOrder";
import type { Job, QuoteSlice } from "./slice";
import { withStandingRates } from "./standingRate";

/**
 * What a job that was put off costs today: with today's rates and markups, and the library's costs where it still keeps
 * the part. Hours, quantities and prices set by hand stay as they were quoted.
 *
 * @returns cents, null where it cannot be priced any more.
 */
export function priceToday(
  job: Job,
  taxExempt: boolean,
  library: readonly LibraryJob[],
  rules: MoneyRules,
): number | null {
  const kept = library.find(({ id }) => id === job.libraryJobId)?.lines ?? [];
  const lines = job.lines.map((line) => today(line, kept, rules));
  const state: QuoteSlice = { rules, taxExempt, jobs: [withStandingRates({ ...job, lines }, rules)] };
  try {
    return priceWorkOrder(state, "all").jobs[0]?.total ?? null;
  } catch (error) {
    // A markup that is no longer among the rules.
    if (error instanceof CalcError) return null;
    throw error;
  }
}

function today(line: QuoteLine, kept: readonly QuoteLine[], { laborRateCents, rates = [] }: MoneyRules): QuoteLine {
  if (line.kind === "labor") {
    const chosen = rates.find(({ id }) => id === line.rate?.id);
    // One that stands by itself is put right with the whole job.
    if (line.rate) return { ...line, rateCents: chosen?.cents ?? laborRateCents };
    const same = kept.find((other) => other.kind === "labor" && other.description === line.description);
    return { ...line, rateCents: same?.kind === "labor" ? same.rateCents : laborRateCents };
  }
  const same = kept.find((other) => other.kind === line.kind && other.description === line.description);
  if (line.kind === "part" && same?.kind === "part")
    return { ...line, costCents: same.costCents, markup: same.markup, priceCents: line.priceCents };
  if (line.kind === "sublet" && same?.kind === "sublet") return { ...line, costCents: same.costCents };
  if ((line.kind === "fee" || line.kind === "core") && (same?.kind === "fee" || same?.kind === "core"))
    return { ...line, priceCents: same.priceCents };
  return line;
}
