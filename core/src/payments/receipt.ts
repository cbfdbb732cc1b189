import { amountOf } from "../quoting/amountOf";
import { z } from "zod";
import { signature, type ApprovalSlice } from "../approvals/slice";
import { approvedJobs } from "../approvals/standing";
import type { Language } from "../languages/language";
import { creditsOf } from "../quoting/priceWorkOrder";
import { isOnPaper, paperWords } from "../quoting/paperWords";
import type { PricedQuote } from "../quoting/price/priceQuote";
import type { QuoteSlice } from "../quoting/slice";
import { approvedQuote, balanceOf } from "./balance";
import { payment, type PaymentSlice } from "./slice";

const cents = z.number().int();

/** What was done and paid, as the customer may see it: no cost, no margin. */
export const receiptContent = z.object({
  jobs: z.array(
    z.object({
      title: z.string(),
      totalCents: cents,
      /** What of the diagnosis that led to it was taken off; absent in what was kept before there was any. */
      creditCents: cents.optional(),
      lines: z.array(z.object({ description: z.string(), quantity: z.string(), netCents: cents })),
    }),
  ),
  /** What discounts took off, in the prices above already; absent in what was kept before there were any. */
  discountCents: cents.optional(),
  suppliesCents: cents,
  taxes: z.array(z.object({ id: z.string(), cents })),
  /** The law changed the taxes after the quote was begun: they are those of the day of sale. */
  hasOtherTaxes: z.boolean().optional(),
  totalCents: cents,
  paidCents: cents,
  dueCents: cents,
  payments: z.array(payment.pick({ method: true, at: true, amountCents: true, tenderedCents: true, card: true })),
  /** Jobs put off or declined, so that the paper says so. */
  notDone: z.array(z.object({ title: z.string(), answer: z.enum(["later", "no"]) })),
  signature: z.object({ name: z.string(), strokes: signature, at: z.string() }).nullable(),
});
type ReceiptContent = z.infer<typeof receiptContent>;

/** Puts the receipt of a work order together. @param language - of what we add to a line. */
export function receiptOf(state: QuoteSlice & ApprovalSlice & PaymentSlice, language: Language = "en"): ReceiptContent {
  const priced = approvedQuote(state);
  const nets = new Map(priced.lines.map((line) => [line.id, line.net]));
  const totals = new Map(priced.jobs.map((job) => [job.id, job.total]));
  const balance = balanceOf(state);
  const credits = creditsOf(state);
  const creditCents = priced.jobs.reduce((sum, { id }) => sum + (credits.get(id)?.cents ?? 0), 0);
  const discountCents = priced.payers.reduce((sum, { discount }) => sum + discount, 0) - creditCents;
  const signed = [...state.approvals].reverse().find(({ signature }) => signature.length > 0);
  return {
    jobs: approvedJobs(state).map((job) => ({
      title: job.title,
      totalCents: totals.get(job.id) ?? 0,
      ...creditOf(credits.get(job.id)?.cents),
      lines: job.lines.filter(isOnPaper).map((line) => ({
        description: paperWords(line, language),
        quantity: line.kind === "labor" ? `${line.hours} h` : String(amountOf(line)),
        netCents: nets.get(line.id) ?? 0,
      })),
    })),
    ...(discountCents > 0 ? { discountCents } : {}),
    suppliesCents: priced.payers.reduce((sum, { supplies }) => sum + supplies, 0),
    taxes: taxesOf(priced),
    ...(state.taxesBefore ? { hasOtherTaxes: true } : {}),
    totalCents: balance.totalCents,
    paidCents: balance.paidCents,
    dueCents: balance.dueCents,
    payments: state.payments
      .filter(({ status }) => status === "taken")
      .map(({ method, at, amountCents, tenderedCents, card }) => ({ method, at, amountCents, tenderedCents, card })),
    notDone: state.jobs.flatMap(({ title, answer }) =>
      answer?.value === "later" || answer?.value === "no" ? [{ title, answer: answer.value }] : [],
    ),
    signature: signed ? { name: signed.name, strokes: signed.signature, at: signed.at } : null,
  };
}

/** Each tax once, of all payers together. */
function taxesOf({ payers }: PricedQuote): ReceiptContent["taxes"] {
  const ids = [...new Set(payers.flatMap(({ taxes }) => Object.keys(taxes)))];
  return ids.map((id) => ({ id, cents: payers.reduce((sum, { taxes }) => sum + (taxes[id] ?? 0), 0) }));
}

const creditOf = (creditCents: number | undefined): { creditCents?: number } =>
  creditCents === undefined ? {} : { creditCents };
