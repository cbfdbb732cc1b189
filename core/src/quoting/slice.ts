import { z } from "zod";
import { POSITIONS } from "../laborGuide/position";
import { discount, quoteDiscount } from "./discount";
import { quoteLine } from "./quoteLine";
import { moneyRules } from "./moneyRules";
import { taxInput } from "./price/input";

const instant = z.iso.datetime();
const cents = z.number().int().nonnegative();

/** The customer's word on a job, for the total it had then. */
export const ANSWERS = ["yes", "later", "no"] as const;
export type Answer = (typeof ANSWERS)[number];

/** What was said of a job, and of what exactly. */
export const jobAnswer = z.object({
  value: z.enum(ANSWERS),
  approvalId: z.string(),
  totalCents: cents,
  /** What a yes is for. Absent in what was answered before it was kept: the total alone. */
  seen: z.object({ cents, payerId: z.string().nullable(), parts: z.array(z.string()) }).optional(),
  /** Whose yes it needs beside that of who gave it; absent: nobody's. */
  needsAlso: z.string().optional(),
  /** Why not. */
  reason: z.string().optional(),
  /** When to ask again about what was put off. */
  askOn: z.iso.date().optional(),
});
export type JobAnswer = z.infer<typeof jobAnswer>;

/** What a job was fitted to the car with. */
const jobFit = z.object({
  /** On record only: fitted anew it is with what is known then. Another version may know of others. */
  facts: z.record(z.string(), z.unknown()),
  positions: z.array(z.enum(POSITIONS)),
  variantId: z.string().nullable(),
  /** It was put there for a time after the hours of work. */
  isAfterHours: z.boolean().optional(),
  /** The library's id of each line, in the order of the lines it brought. */
  lineIds: z.array(z.object({ id: z.string(), libraryLineId: z.string() })),
});

/** A job in another way: a cheaper part, a better one. */
export const jobOther = z.object({
  /** Null: as it was first. */
  id: z.string().nullable(),
  title: z.string(),
  lines: z.array(quoteLine),
  fit: jobFit.optional(),
});

/** A piece of work that is sold as one. */
export const job = z.object({
  id: z.string(),
  title: z.string(),
  libraryJobId: z.string().nullable(),
  concernId: z.string().nullable(),
  /** Findings it cures. */
  pointIds: z.array(z.string()),
  /** What it was fitted to the car with; absent: as the library had it. */
  fit: jobFit.optional(),
  /** What decides the rate of a job that was not fitted. */
  on: z.object({ facts: z.record(z.string(), z.unknown()), isAfterHours: z.boolean() }).optional(),
  /** It finds out what is wrong; the repair it leads to may have its price taken off. */
  isDiagnosis: z.boolean().optional(),
  /** The diagnosis that led to it, as a person said; null: none did. Absent: whichever is of its concern. */
  foundBy: z.string().nullable().optional(),
  /** What is taken off it as a whole. */
  off: discount.optional(),
  /** One price for all of it, cores apart, with so much of each included line; what goes beyond is charged. */
  setPrice: z
    .object({
      priceCents: cents,
      included: z.array(z.object({ lineId: z.string(), quantity: z.number(), extraEachCents: cents })),
    })
    .optional(),
  /** Who pays for it; absent: the customer. */
  payerId: z.string().optional(),
  /** Fees that hang on it and were taken off, by the owner's id. */
  feesLeftOut: z.array(z.string()).optional(),
  lines: z.array(quoteLine),
  /** The same work in other ways, to choose from: each with lines of its own. */
  others: z.array(jobOther).optional(),
  /** Which of the ways its lines are, and what that is called; absent: as it was first. */
  way: z.object({ id: z.string().nullable(), title: z.string() }).optional(),
  addedAt: instant,
  answer: jobAnswer.nullable(),
  finishedAt: instant.nullable(),
});
export type Job = z.infer<typeof job>;

/** A line or job that was taken off, and where it stood. */
const takenOff = z.discriminatedUnion("of", [
  z.object({ of: z.literal("line"), at: z.number().int(), jobId: z.string(), line: quoteLine }),
  z.object({ of: z.literal("job"), at: z.number().int(), job }),
]);
export type TakenOff = z.infer<typeof takenOff>;

/** The priced jobs, and what they are priced by. */
export const quoteSlice = z.object({
  /** The money rules when it was opened; later changes of the settings do not reach it. */
  rules: moneyRules,
  taxExempt: z.boolean(),
  jobs: z.array(job),
  /** Discounts of the whole quote, in the order they are taken. */
  discounts: z.array(quoteDiscount).optional(),
  /** Who pays beside the customer. */
  payers: z.array(z.object({ id: z.string(), name: z.string(), isExempt: z.boolean() })).optional(),
  /** The last day it is good for; null: no end. Absent: nobody said. */
  validUntil: z.iso.date().nullable().optional(),
  /** Whose taxes it is under; null: the usual ones. */
  taxPlaceId: z.string().nullable().optional(),
  /** The taxes it was under before the law changed them. */
  taxesBefore: z.object({ day: z.iso.date(), taxes: z.array(taxInput) }).optional(),
  /** What was taken off it last, to be put back; the newest last. */
  takenOff: z.array(takenOff).optional(),
});
export type QuoteSlice = z.infer<typeof quoteSlice>;
