import { z } from "zod";
import type { CommandContext } from "../commands/context";
import { cents, uuid, words } from "../commands/fields";
import { ruleFor } from "../commands/rule";
import { markConflict } from "../conflicts/markConflict";
import type { ConflictSlice } from "../conflicts/slice";
import { ANSWERS, type QuoteSlice } from "../quoting/slice";
import { jobTotals } from "../quoting/totals";
import type { ApprovalConflict } from "./conflicts";
import { signature, type ApprovalSlice } from "./slice";

const recordAnswersSchema = z.strictObject({
  type: z.literal("recordAnswers"),
  approvalId: uuid,
  way: z.enum(["signed", "spoken"]),
  name: words(200).min(1),
  signature,
  answers: z
    .array(z.strictObject({ jobId: uuid, title: words(120), answer: z.enum(ANSWERS), totalCents: cents }))
    .min(1)
    .max(100),
  totalCents: cents,
});

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
};

/**
 * Records what a customer answered, for the totals they saw. Where a job has another total by now the answer is kept
 * for the total seen, so it does not stand, and a conflict mark says so.
 */
function recordAnswers(
  state: Reads,
  { approvalId: id, way, name, signature: strokes, answers, totalCents }: z.output<typeof recordAnswersSchema>,
  context: CommandContext,
): Writes {
  const { at, actor } = context;
  const totals = jobTotals(state);
  const agreed = answers.filter(({ answer }) => answer === "yes");
  const gone = agreed.filter(({ jobId }) => !totals.has(jobId));
  const changed = agreed.filter(({ jobId, totalCents: seen }) => totals.has(jobId) && totals.get(jobId) !== seen);
  const titles = (given: typeof answers): string => given.map(({ title }) => title).join(", ");
  let conflicts = state.conflicts;
  const mark = (code: ApprovalConflict, given: typeof answers): void => {
    if (given.length > 0) conflicts = markConflict(conflicts, code, titles(given), context);
  };
  mark("approval/job-gone", gone);
  mark("approval/price-changed", changed);
  return {
    approvals: [...state.approvals, { id, at, by: actor.id, way, name, signature: strokes, answers, totalCents }],
    jobs: state.jobs.map((job) => {
      const given = answers.find(({ jobId }) => jobId === job.id);
      return given ? { ...job, answer: { value: given.answer, approvalId: id, totalCents: given.totalCents } } : job;
    }),
    conflicts,
  };
}
