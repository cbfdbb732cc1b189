import { diagnosisCredits, type DiagnosisCredit } from "./diagnosisCredit";
import type { QuoteLine } from "./quoteLine";
import { oncePerQuote } from "./oncePerQuote";
import type { LineInput, PriceInput } from "./price/input";
import { withPay } from "./withPay";
import { priceQuote, type PricedQuote } from "./price/priceQuote";
import { sumNets, workThrough, type WorkingJob } from "./price/workThrough";
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

/** What comes off a job for a diagnosis, and what its own discount comes to beside that, in cents. */
export interface JobCredit extends DiagnosisCredit {
  offCents: number;
}
export type Credits = ReadonlyMap<string, JobCredit>;
export const NO_CREDITS: Credits = new Map();

/** What comes off each job of a quote for a diagnosis, by the id of the job. */
export const creditsOf: (quote: QuoteSlice) => Credits = oncePerQuote((quote) => {
  if (!quote.rules.diagnosisCreditPercent || !quote.jobs.some((job) => job.isDiagnosis)) return NO_CREDITS;
  const { jobs } = workThrough(toPriceInput(quote, "all", NO_CREDITS));
  const nets = jobs.map(({ input, lines }): [string, number] => [
    input.id,
    Number(sumNets(lines.filter(({ input: { kind } }) => kind !== "core"))),
  ]);
  const offs = new Map(jobs.map((job) => [job.input.id, offCentsOf(job)]));
  const credits = diagnosisCredits(quote, new Map(nets));
  return new Map([...credits].map(([jobId, credit]) => [jobId, { ...credit, offCents: offs.get(jobId) ?? 0 }]));
});

/** What the discount of a job itself comes to on its lines, in cents. */
function offCentsOf({ lines }: WorkingJob): number {
  const ofJob = lines.flatMap(({ taken }) => taken).filter(({ by }) => by === "job");
  return Number(ofJob.reduce((sum, { cents }) => sum + cents, 0n));
}

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

/** A job takes one discount: with a diagnosis credited to it, that and what its own comes to are one amount. */
function offOf({ off }: Job, credit: JobCredit | undefined): PriceInput["jobs"][number]["discount"] {
  if (credit) return { amount: credit.cents + credit.offCents };
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
