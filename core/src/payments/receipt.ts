import { amountOf } from "../quoting/amountOf";
import { z } from "zod";
import { signature, type ApprovalSlice } from "../approvals/slice";
import { approvedJobs } from "../approvals/standing";
import type { Language } from "../languages/language";
import { CUSTOMER_PAYER, creditsOf } from "../quoting/priceWorkOrder";
import { paperWords } from "../quoting/paperWords";
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
  suppliesCents: cents,
  taxes: z.array(z.object({ id: z.string(), cents })),
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
  const payer = priced.payers.find(({ id }) => id === CUSTOMER_PAYER);
  const balance = balanceOf(state);
  const credits = creditsOf(state);
  const signed = [...state.approvals].reverse().find(({ way }) => way === "signed");
  return {
    jobs: approvedJobs(state).map((job) => ({
      title: job.title,
      totalCents: totals.get(job.id) ?? 0,
      ...creditOf(credits.get(job.id)?.cents),
      lines: job.lines.map((line) => ({
        description: paperWords(line, language),
        quantity: line.kind === "labor" ? `${line.hours} h` : String(amountOf(line)),
        netCents: nets.get(line.id) ?? 0,
      })),
    })),
    suppliesCents: payer?.supplies ?? 0,
    taxes: Object.entries(payer?.taxes ?? {}).map(([id, taxCents]) => ({ id, cents: taxCents })),
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

const creditOf = (creditCents: number | undefined): { creditCents?: number } =>
  creditCents === undefined ? {} : { creditCents };
