import type { BusinessSettings } from "../settings/businessSettings";
import { CalcError } from "../calc/error";
import type { LibraryJob, QuoteLine } from "./line";
import { priceWorkOrder } from "./priceWorkOrder";
import type { Job, QuoteSlice } from "./slice";

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
  rules: BusinessSettings["rules"],
): number | null {
  const kept = library.find(({ id }) => id === job.libraryJobId)?.lines ?? [];
  const state: QuoteSlice = {
    rules,
    taxExempt,
    jobs: [{ ...job, lines: job.lines.map((line) => today(line, kept, rules.laborRateCents)) }],
  };
  try {
    return priceWorkOrder(state, "all").jobs[0]?.total ?? null;
  } catch (error) {
    // A markup that is no longer among the rules.
    if (error instanceof CalcError) return null;
    throw error;
  }
}

function today(line: QuoteLine, kept: readonly QuoteLine[], laborRateCents: number): QuoteLine {
  if (line.kind === "labor") {
    const same = kept.find((other) => other.kind === "labor" && other.description === line.description);
    return { ...line, rateCents: same?.kind === "labor" ? same.rateCents : laborRateCents };
  }
  const same = kept.find((other) => other.kind === line.kind && other.description === line.description);
  if (line.kind === "part" && same?.kind === "part")
    return { ...line, costCents: same.costCents, markup: same.markup, priceCents: line.priceCents };
  if (line.kind !== "part" && same?.kind === line.kind) return { ...line, priceCents: same.priceCents };
  return line;
}
