import { z } from "zod";
import { cents, uuid, words } from "../commands/fields";
import { ruleFor } from "../commands/rule";
import { Refusal } from "../commands/refusal";
import type { ConflictSlice } from "../conflicts/slice";
import { ANSWERS, type QuoteSlice } from "../quoting/slice";
import { recordAnswers } from "./recordAnswers";
import type { ApprovalRefusal } from "./refusals";
import { shownQuote } from "./shownQuote";
import { NO_SALE_REASONS, signature, type ApprovalSlice } from "./slice";

const answered = z.strictObject({
  jobId: uuid,
  title: words(120),
  answer: z.enum(ANSWERS),
  totalCents: cents,
  /** Which way of it; null: as it was first. Left out: as it stands. */
  otherId: uuid.nullable().optional(),
  reason: words(300).optional(),
  askOn: z.iso.date().optional(),
});
const given = {
  approvalId: uuid,
  name: words(200).min(1),
  signature,
  answers: z.array(answered).min(1).max(100),
  totalCents: cents,
  /** All that was shown; left out by an older app, and where nothing was. */
  shown: shownQuote.optional(),
  /** Whose yes it needs, too. */
  needsAlso: words(200).optional(),
};
const recordAnswersSchema = z.strictObject({
  type: z.literal("recordAnswers"),
  ...given,
  way: z.enum(["signed", "spoken"]),
  /** The number it was told over. */
  phone: words(40).optional(),
});
/** What a customer answered on their page: the server takes it there, and has seen that it is what was shown. */
const answerOnPageSchema = z.strictObject({ type: z.literal("answerOnPage"), ...given, shown: shownQuote });
/** Closes a quote that came to nothing. */
const closeWithoutSaleSchema = z.strictObject({
  type: z.literal("closeWithoutSale"),
  reason: z.enum(NO_SALE_REASONS),
  words: words(300),
});
/** Goes on with one that was closed. */
const goOnSellingSchema = z.strictObject({ type: z.literal("goOnSelling") });

type Reads = ApprovalSlice & QuoteSlice & ConflictSlice;
type Writes = ApprovalSlice & Pick<QuoteSlice, "jobs"> & ConflictSlice;
const rule = ruleFor<Reads, Writes>();

/** Says what came of a call about the quote, and when to ask again. */
const noteCallSchema = z.strictObject({
  type: z.literal("noteCall"),
  outcome: z.enum(["noAnswer", "thinks"]),
  againOn: z.iso.date(),
});
const MOST_CALLS = 100;

export const approvalRules = {
  noteCall: rule({
    schema: noteCallSchema,
    kind: "fact",
    apply: ({ calls = [] }, { outcome, againOn }, { at, actor }) => ({
      calls: [...calls, { at, by: actor.id, outcome, againOn }].slice(-MOST_CALLS),
    }),
  }),
  recordAnswers: rule({ schema: recordAnswersSchema, kind: "fact", apply: recordAnswers }),
  answerOnPage: rule({
    schema: answerOnPageSchema,
    kind: "intention",
    source: "server",
    apply: (state, command, context) => recordAnswers(state, { ...command, way: "page" }, context),
  }),
  closeWithoutSale: rule({
    schema: closeWithoutSaleSchema,
    kind: "intention",
    apply(state, { reason, words: said }, { at, actor }) {
      if (state.jobs.some(({ answer, finishedAt }) => answer?.value === "yes" || finishedAt !== null))
        throw new Refusal<ApprovalRefusal>("sale/agreed");
      return { noSale: { at, by: actor.id, reason, words: said } };
    },
  }),
  goOnSelling: rule({ schema: goOnSellingSchema, kind: "intention", apply: () => ({ noSale: null }) }),
};
