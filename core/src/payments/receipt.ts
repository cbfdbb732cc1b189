import { CUSTOMER_PAYER } from "../quoting/priceWorkOrder";
import { approvedJobs } from "../approvals/standing";
import type { ApprovalSlice, Signature } from "../approvals/slice";
import type { QuoteSlice } from "../quoting/slice";
import { approvedQuote, balanceOf } from "./balance";
import type { Payment, PaymentSlice } from "./slice";

/** What was done and paid, as the customer may see it: no cost, no margin. */
export interface Receipt {
  jobs: { title: string; totalCents: number; lines: { description: string; quantity: string; netCents: number }[] }[];
  suppliesCents: number;
  taxes: { id: string; cents: number }[];
  totalCents: number;
  paidCents: number;
  dueCents: number;
  payments: Pick<Payment, "method" | "at" | "amountCents" | "tenderedCents" | "card">[];
  /** Jobs put off or declined, so that the paper says so. */
  notDone: { title: string; answer: "later" | "no" }[];
  signature: { name: string; strokes: Signature; at: string } | null;
}

/** Puts the receipt of a work order together. */
export function receiptOf(state: QuoteSlice & ApprovalSlice & PaymentSlice): Receipt {
  const priced = approvedQuote(state);
  const nets = new Map(priced.lines.map((line) => [line.id, line.net]));
  const totals = new Map(priced.jobs.map((job) => [job.id, job.total]));
  const payer = priced.payers.find(({ id }) => id === CUSTOMER_PAYER);
  const balance = balanceOf(state);
  const signed = [...state.approvals].reverse().find(({ way }) => way === "signed");
  return {
    jobs: approvedJobs(state).map((job) => ({
      title: job.title,
      totalCents: totals.get(job.id) ?? 0,
      lines: job.lines.map((line) => ({
        description: line.description,
        quantity: line.kind === "labor" ? `${line.hours} h` : String(line.quantity),
        netCents: nets.get(line.id) ?? 0,
      })),
    })),
    suppliesCents: payer?.supplies ?? 0,
    taxes: Object.entries(payer?.taxes ?? {}).map(([id, cents]) => ({ id, cents })),
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
