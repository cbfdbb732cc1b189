import { z } from "zod";
import { moneyRules } from "../settings/businessSettings";
import { quoteLine } from "./line";

const instant = z.iso.datetime();
const cents = z.number().int().nonnegative();

/** The customer's word on a job, for the total it had then. */
export const ANSWERS = ["yes", "later", "no"] as const;
export type Answer = (typeof ANSWERS)[number];

/** A piece of work that is sold as one. */
export const job = z.object({
  id: z.string(),
  title: z.string(),
  libraryJobId: z.string().nullable(),
  concernId: z.string().nullable(),
  pointId: z.string().nullable(),
  lines: z.array(quoteLine),
  addedAt: instant,
  answer: z.object({ value: z.enum(ANSWERS), approvalId: z.string(), totalCents: cents }).nullable(),
  finishedAt: instant.nullable(),
});
export type Job = z.infer<typeof job>;

/** The priced jobs, and what they are priced by. */
export const quoteSlice = z.object({
  /** The money rules when it was opened; later changes of the settings do not reach it. */
  rules: moneyRules,
  taxExempt: z.boolean(),
  jobs: z.array(job),
});
export type QuoteSlice = z.infer<typeof quoteSlice>;
