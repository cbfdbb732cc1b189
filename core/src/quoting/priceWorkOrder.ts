import { diagnosisCredits, type DiagnosisCredit } from "./diagnosisCredit";
import type { QuoteLine } from "./quoteLine";
import { oncePerQuote } from "./oncePerQuote";
import type { LineInput, PriceInput } from "./price/input";
import { withPay } from "./withPay";
import { priceQuote, type PricedQuote } from "./price/priceQuote";
import { toDiscountInput } from "./discount";
import type { Job, QuoteSlice } from "./slice";

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
  return withPay(priceQuote(toPriceInput(quote, count, creditsOf(quote))), quote);
}

export type Credits = ReadonlyMap<string, DiagnosisCredit>;
const NO_CREDITS: Credits = new Map();

/** What comes off each job of a quote for a diagnosis, by the id of the job. */
export const creditsOf: (quote: QuoteSlice) => Credits = oncePerQuote((quote) => {
  if (!quote.rules.diagnosisCreditPercent || !quote.jobs.some((job) => job.isDiagnosis)) return NO_CREDITS;
  const { lines } = priceQuote(toPriceInput(quote, "all", NO_CREDITS));
  const netOf = new Map(lines.map(({ id, net }) => [id, net]));
  const nets = quote.jobs.map((job): [string, number] => [
    job.id,
    job.lines.reduce((sum, { id, kind }) => sum + (kind === "core" ? 0 : (netOf.get(id) ?? 0)), 0),
  ]);
  return diagnosisCredits(quote, new Map(nets));
});

/** A quote as calculations.md takes it. */
export function toPriceInput(quote: QuoteSlice, count: "approved" | "all", credits: Credits): PriceInput {
  const { rules, taxExempt, jobs, discounts = [], payers = [] } = quote;
  const known = new Set(payers.map(({ id }) => id));
  const taxes = new Set((rules.pricing.taxes ?? []).map(({ id }) => id));
  return {
    rules: rules.pricing,
    payers: [{ id: CUSTOMER_PAYER, taxExempt }, ...payers.map(({ id, isExempt }) => ({ id, taxExempt: isExempt }))],
    jobs: jobs.map((job) => ({
      id: job.id,
      payer: job.payerId !== undefined && known.has(job.payerId) ? job.payerId : CUSTOMER_PAYER,
      answer: job.answer?.value === "yes" ? "approved" : (job.answer?.value ?? null),
      setPrice: job.setPrice ? toSetPriceInput(job.setPrice) : null,
      discount: offOf(job, credits.get(job.id)),
      // What a line of a set price had taken off before stays with it, and counts again without one.
      lines: job.lines.map((line) => toLineInput(line, job.setPrice !== undefined, taxes)),
    })),
    discounts: discounts.map(({ id, on, off }) => ({ id, on, ...toDiscountInput(off) })),
    count,
  };
}

/** A diagnosis credited to a job takes the place of its discount: one of the two, the credit first. */
function offOf({ off }: Job, credit: DiagnosisCredit | undefined): PriceInput["jobs"][number]["discount"] {
  if (credit) return { amount: credit.cents };
  return off ? toDiscountInput(off) : null;
}

function toSetPriceInput({
  priceCents,
  included,
}: NonNullable<Job["setPrice"]>): PriceInput["jobs"][number]["setPrice"] {
  return {
    price: priceCents,
    included: included.map(({ lineId, quantity, extraEachCents }) => ({
      line: lineId,
      quantity,
      extraEach: extraEachCents,
    })),
  };
}

function toLineInput(line: QuoteLine, hasSetPrice: boolean, known: ReadonlySet<string>): LineInput {
  const { id } = line;
  // A tax that does not hold there any more is none.
  const taxes = line.taxIds?.filter((tax) => known.has(tax)) ?? null;
  if (line.kind === "core") return { id, kind: "core", taxes, quantity: line.quantity, price: line.priceCents };
  const discount = line.off && !hasSetPrice ? toDiscountInput(line.off) : null;
  switch (line.kind) {
    case "labor":
      return {
        id,
        taxes,
        discount,
        kind: "labor",
        hours: line.hours,
        rate: line.rateCents,
        // Who does it is paid by their own rules, once it is known what the line comes to.
        wage: line.assigned ? null : line.wageCents,
        paidHours: line.paidHours,
      };
    case "part":
      if (line.isCustomers) return { id, taxes, discount, kind: "part", quantity: line.quantity, cost: 0, price: 0 };
      return {
        id,
        taxes,
        discount,
        kind: "part",
        quantity: line.quantity,
        cost: line.costCents ?? 0,
        markup: line.markup,
        price: line.priceCents,
      };
    case "fee":
      return { id, taxes, discount, kind: "fee", quantity: line.quantity, price: line.priceCents };
    case "sublet":
      // Who may not see its cost is told what it sells at.
      return line.costCents === null
        ? { id, taxes, discount, kind: "sublet", cost: line.priceCents ?? 0, percent: 0 }
        : { id, taxes, discount, kind: "sublet", cost: line.costCents, percent: line.percent };
  }
}
