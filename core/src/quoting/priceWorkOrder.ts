import { diagnosisCredits, type DiagnosisCredit } from "./diagnosisCredit";
import type { QuoteLine } from "./quoteLine";
import { oncePerQuote } from "./oncePerQuote";
import type { LineInput, PriceInput } from "./price/input";
import { withPay } from "./withPay";
import { priceQuote, type PricedQuote } from "./price/priceQuote";
import type { QuoteSlice } from "./slice";

/** The payer every job of this slice is billed to. */
export const CUSTOMER_PAYER = "customer";

/**
 * Prices the jobs of a work order by its own money rules; once per state, however often it is asked.
 *
 * @param count - `approved` for the jobs whose yes stands, `all` for everything on the quote.
 */
export function priceWorkOrder(quote: QuoteSlice, count: "approved" | "all"): PricedQuote {
  return PRICED[count](quote);
}

const PRICED = {
  all: oncePerQuote((quote) => pricedWithPay(quote, "all")),
  approved: oncePerQuote((quote) => pricedWithPay(quote, "approved")),
};

function pricedWithPay(quote: QuoteSlice, count: "approved" | "all"): PricedQuote {
  return withPay(priceQuote(toInput(quote, count, creditsOf(quote))), quote);
}

type Credits = ReadonlyMap<string, DiagnosisCredit>;
const NO_CREDITS: Credits = new Map();

/** What comes off each job of a quote for a diagnosis, by the id of the job. */
export const creditsOf: (quote: QuoteSlice) => Credits = oncePerQuote((quote) => {
  if (!quote.rules.diagnosisCreditPercent || !quote.jobs.some((job) => job.isDiagnosis)) return NO_CREDITS;
  const { lines } = priceQuote(toInput(quote, "all", NO_CREDITS));
  const netOf = new Map(lines.map(({ id, net }) => [id, net]));
  const nets = quote.jobs.map((job): [string, number] => [
    job.id,
    job.lines.reduce((sum, { id, kind }) => sum + (kind === "core" ? 0 : (netOf.get(id) ?? 0)), 0),
  ]);
  return diagnosisCredits(quote, new Map(nets));
});

function toInput({ rules, taxExempt, jobs }: QuoteSlice, count: "approved" | "all", credits: Credits): PriceInput {
  return {
    rules: rules.pricing,
    payers: [{ id: CUSTOMER_PAYER, taxExempt }],
    jobs: jobs.map(({ id, answer, lines }) => ({
      id,
      payer: CUSTOMER_PAYER,
      answer: answer?.value === "yes" ? "approved" : (answer?.value ?? null),
      discount: creditFor(credits, id),
      lines: lines.map(toLineInput),
    })),
    count,
  };
}

function creditFor(credits: Credits, jobId: string): { amount: number } | null {
  const credit = credits.get(jobId);
  return credit ? { amount: credit.cents } : null;
}

function toLineInput(line: QuoteLine): LineInput {
  switch (line.kind) {
    case "labor":
      return {
        id: line.id,
        kind: "labor",
        hours: line.hours,
        rate: line.rateCents,
        // Who does it is paid by their own rules, once it is known what the line comes to.
        wage: line.assigned ? null : line.wageCents,
        paidHours: line.paidHours,
      };
    case "part":
      if (line.isCustomers) return { id: line.id, kind: "part", quantity: line.quantity, cost: 0, price: 0 };
      return {
        id: line.id,
        kind: "part",
        quantity: line.quantity,
        cost: line.costCents ?? 0,
        markup: line.markup,
        price: line.priceCents,
      };
    case "fee":
      return { id: line.id, kind: "fee", quantity: line.quantity, price: line.priceCents };
    case "core":
      return { id: line.id, kind: "core", quantity: line.quantity, price: line.priceCents };
  }
}
