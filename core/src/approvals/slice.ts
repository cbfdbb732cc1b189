import { z } from "zod";
import { ANSWERS } from "../quoting/slice";

const cents = z.number().int().nonnegative();

/** Strokes drawn with a finger: x and y alternating, 0..1000 of the field's width and height. */
export const signature = z.array(z.array(z.number().int().min(0).max(1000)).max(4000)).max(200);
export type Signature = z.infer<typeof signature>;

/** The recorded word of a customer on jobs, for the totals they saw. */
export const approval = z.object({
  id: z.string(),
  at: z.iso.datetime(),
  by: z.string(),
  way: z.enum(["signed", "spoken"]),
  name: z.string(),
  signature,
  answers: z.array(z.object({ jobId: z.string(), title: z.string(), answer: z.enum(ANSWERS), totalCents: cents })),
  totalCents: cents,
});
/** A call about a quote nobody answered: what came of it, and when to ask again. */
export const quoteCall = z.object({
  at: z.iso.datetime(),
  by: z.string(),
  outcome: z.enum(["noAnswer", "thinks"]),
  againOn: z.iso.date(),
});
export const approvalSlice = z.object({
  approvals: z.array(approval),
  /** Absent: nobody called. */
  calls: z.array(quoteCall).optional(),
});
export type ApprovalSlice = z.infer<typeof approvalSlice>;
