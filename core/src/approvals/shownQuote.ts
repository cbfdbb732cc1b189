import { z } from "zod";
import { LANGUAGES } from "../languages/language";
import { discount, quoteDiscount } from "../quoting/discount";
import { rulesInput } from "../quoting/price/input";
import { ANSWERS } from "../quoting/slice";

const cents = z.number().int().min(0);
const id = z.string().max(200);
// As long as a line can get with all the work it includes: what was signed is never refused for its length.
const said = z.string().max(50_000);

/** A line as the customer reads it, at what it comes to by itself. */
const shownLine = z.object({
  id,
  kind: z.enum(["labor", "part", "fee", "sublet", "core"]),
  words: said,
  amount: z.number(),
  cents,
  /** Null: all taxes on its kind. */
  taxIds: z.array(id).nullable(),
});

/** One way a job can be done. */
const shownWay = z.object({
  /** Null: as it was first. */
  otherId: id.nullable(),
  title: said,
  lines: z.array(shownLine).max(200),
  /** What its lines come to, less what is taken off the job. */
  cents,
  parts: z.array(said).max(200),
});
export type ShownWay = z.infer<typeof shownWay>;

const shownJob = z.object({
  id,
  title: said,
  concernId: id.nullable(),
  /** The diagnosis that led to it. Absent: whichever is of its concern. */
  foundBy: id.nullable().optional(),
  isDiagnosis: z.boolean(),
  off: discount.nullable(),
  payerId: id.nullable(),
  /** Findings it cures. */
  pointIds: z.array(id).max(150),
  /** As it stands first, then in its other ways. */
  ways: z.array(shownWay).min(1).max(3),
  /** What was said of it before and still holds; null: it is asked. */
  answer: z.enum(ANSWERS).nullable(),
  /** It is done already. */
  isDone: z.boolean(),
  /** What the yes before was for, where it does not hold any more. */
  before: z.object({ cents, parts: z.array(said), payerId: id.nullable() }).nullable(),
});
export type ShownJob = z.infer<typeof shownJob>;

/** A finding as it stood beside the prices. */
const shownFinding = z.object({
  pointId: id,
  title: said,
  grade: z.string().max(20),
  note: said,
  measures: z.array(said).max(40),
});

/** A photo as it was shown: its bytes by their checksum; null: they had not arrived. */
const shownPhoto = z.object({ id, pointId: id, checksum: z.string().max(64).nullable() });

/**
 * All of a quote that a customer is asked to answer, as it stands on their screen: what a yes is a yes to. It holds what is
 * needed to add up any choice of answers, and nothing of what it costs us.
 */
export const shownQuote = z.object({
  version: z.literal(1),
  language: z.enum(LANGUAGES),
  jobs: z.array(shownJob).max(100),
  found: z.array(shownFinding).max(1000),
  photos: z.array(shownPhoto).max(5000),
  discounts: z.array(quoteDiscount).max(50),
  payers: z.array(z.object({ id, name: said, isExempt: z.boolean() })).max(20),
  taxExempt: z.boolean(),
  taxes: rulesInput.shape.taxes,
  supplies: rulesInput.shape.supplies,
  diagnosisCreditPercent: z.number().int().min(0).max(100),
  validUntil: z.iso.date().nullable(),
  /** What stands beneath it: the owner's terms. */
  terms: z.string().max(20_000),
  /** What it opens with; absent: nothing, or it was shown before there was any. */
  words: said.optional(),
  /** Why they called, as it stands on it. */
  concerns: z.array(said).max(100).optional(),
});
export type ShownQuote = z.infer<typeof shownQuote>;
