import { z } from "zod";
import { POSITIONS } from "../laborGuide/position";
import { quoteLine } from "./quoteLine";
import { moneyRules } from "./moneyRules";

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
  /** Findings it cures. */
  pointIds: z.array(z.string()),
  /** What it was fitted to the car with; absent: as the library had it. */
  fit: z
    .object({
      /** On record only: fitted anew it is with what is known then. Another version may know of others. */
      facts: z.record(z.string(), z.unknown()),
      positions: z.array(z.enum(POSITIONS)),
      variantId: z.string().nullable(),
      /** It was put there for a time after the hours of work. */
      isAfterHours: z.boolean().optional(),
      /** The library's id of each line, in the order of the lines it brought. */
      lineIds: z.array(z.object({ id: z.string(), libraryLineId: z.string() })),
    })
    .optional(),
  /** What decides the rate of a job that was not fitted. */
  on: z.object({ facts: z.record(z.string(), z.unknown()), isAfterHours: z.boolean() }).optional(),
  /** It finds out what is wrong; the repair it leads to may have its price taken off. */
  isDiagnosis: z.boolean().optional(),
  /** The diagnosis that led to it, as a person said; null: none did. Absent: whichever is of its concern. */
  foundBy: z.string().nullable().optional(),
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
