import { z } from "zod";
import { ANSWERS } from "../quoting/slice";

const cents = z.number().int().nonnegative();

/** Strokes drawn with a finger: x and y alternating, 0..1000 of the field's width and height. */
export const signature = z.array(z.array(z.number().int().min(0).max(1000)).max(4000)).max(200);
export type Signature = z.infer<typeof signature>;

/** Whether anything was drawn: a dot is no signature. */
export function isSigned(strokes: Signature): boolean {
  return strokes.some((stroke) => stroke.length >= 4);
}

/** How an answer was given: signed on our phone, told us, or on the customer's own page. */
export const ANSWER_WAYS = ["signed", "spoken", "page"] as const;
export type AnswerWay = (typeof ANSWER_WAYS)[number];

/** The recorded word of a customer on jobs, for the totals they saw. */
export const approval = z.object({
  id: z.string(),
  at: z.iso.datetime(),
  by: z.string(),
  way: z.enum(ANSWER_WAYS),
  name: z.string(),
  signature,
  answers: z.array(
    z.object({
      jobId: z.string(),
      title: z.string(),
      answer: z.enum(ANSWERS),
      totalCents: cents,
      /** Why not. */
      reason: z.string().optional(),
      /** When to ask again. */
      askOn: z.iso.date().optional(),
      /** What the way that was chosen is called. */
      wayTitle: z.string().optional(),
    }),
  ),
  totalCents: cents,
  /** Told us over this number; absent: it was not, or nobody said which. */
  phone: z.string().optional(),
  /** Whose yes it needs beside this one; absent: nobody's. */
  needsAlso: z.string().optional(),
  /** The digest of what was shown; absent in what was answered before that was kept. */
  shown: z.string().optional(),
});
export type Approval = z.infer<typeof approval>;

/** A yes that was taken back, and what stayed to pay for what was ordered by then. */
export const takenBack = z.object({
  id: z.string(),
  at: z.iso.datetime(),
  by: z.string(),
  name: z.string(),
  jobId: z.string(),
  title: z.string(),
  totalCents: cents,
  costCents: cents,
});

export type TakenBack = z.infer<typeof takenBack>;

/** A price that went above its yes and was covered by the owner's tolerance. */
export const tolerated = z.object({
  at: z.iso.datetime(),
  jobId: z.string(),
  title: z.string(),
  fromCents: cents,
  toCents: cents,
});

/** Why nothing was sold. */
export const NO_SALE_REASONS = ["price", "elsewhere", "thinks", "notOurs", "noAnswer", "other"] as const;
export const noSale = z.object({
  at: z.iso.datetime(),
  by: z.string(),
  reason: z.enum(NO_SALE_REASONS),
  words: z.string(),
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
  /** Absent: nothing was. */
  takenBack: z.array(takenBack).optional(),
  /** Absent: nothing was. */
  tolerated: z.array(tolerated).optional(),
  /** It was closed without a sale; null: and went on after all. Absent: it was not. */
  noSale: noSale.nullable().optional(),
});
export type ApprovalSlice = z.infer<typeof approvalSlice>;
