import { z } from "zod";
import { standingAnswer } from "../approvals/standing";
import type { ApprovalSlice } from "../approvals/slice";
import type { ArrivalSlice } from "../arrival/slice";
import type { CommandContext } from "../commands/context";
import { cents, uuid, words } from "../commands/fields";
import { Refusal } from "../commands/refusal";
import { seenNow } from "../quoting/ownPrices";
import type { Job, QuoteSlice } from "../quoting/slice";
import { orderedQuantity, receivedQuantity } from "../sourcing/ordered";
import type { SourcingSlice } from "../sourcing/slice";
import type { WorkRefusal } from "./refusals";

/** A customer takes a yes back on their page, having been told what stays to pay. */
export const takeBackOnPageSchema = z.strictObject({
  type: z.literal("takeBackOnPage"),
  takenBackId: uuid,
  jobId: uuid,
  name: words(200).min(1),
  /** What they were told stays to pay. */
  costCents: cents,
});

type Reads = QuoteSlice & SourcingSlice & Pick<ApprovalSlice, "takenBack"> & Pick<ArrivalSlice, "apart">;

/** What taking a yes back comes to now. */
export interface TakingBack {
  /** What was ordered for it by then: it stays to pay. */
  costCents: number;
}

/** What it costs to take the yes to a job back; null: it cannot be any more, or there is none. */
export function takingBack(state: Reads, jobId: string): TakingBack | null {
  const job = state.jobs.find(({ id }) => id === jobId);
  if (!job || standingAnswer(state, job) !== "yes" || job.finishedAt !== null || state.apart !== null) return null;
  const bought = onlyBought(state, job);
  return { costCents: bought === null ? 0 : (seenNow(replaced(state, bought), jobId)?.cents ?? 0) };
}

/**
 * Takes a yes back: the job is to be asked again. What was ordered for it stays, at its price, as a job that was agreed to.
 * @throws {Refusal} when work on it has begun, or it would cost another sum than was told.
 */
export function takeBack(
  state: Reads,
  { takenBackId: id, jobId, name, costCents }: z.output<typeof takeBackOnPageSchema>,
  { at, actor }: CommandContext,
): Partial<Pick<QuoteSlice, "jobs"> & Pick<ApprovalSlice, "takenBack">> {
  const cost = takingBack(state, jobId);
  if (!cost) throw new Refusal<WorkRefusal>("yes/begun");
  if (cost.costCents !== costCents) throw new Refusal<WorkRefusal>("yes/costs-more");
  const job = state.jobs.find((each) => each.id === jobId);
  if (!job?.answer) throw new Refusal<WorkRefusal>("yes/begun");
  const bought = onlyBought(state, job);
  const answered = { ...(bought ?? job), answer: null };
  const after = replaced(state, answered);
  const seen = seenNow(after, jobId);
  const { totalCents } = job.answer;
  return {
    jobs: bought && seen ? replaced(after, { ...bought, answer: { ...job.answer, seen } }).jobs : after.jobs,
    takenBack: [
      ...(state.takenBack ?? []),
      { id, at, by: actor.id, name, jobId, title: job.title, totalCents, costCents },
    ],
  };
}

function replaced(state: Reads, job: Job): Reads {
  return { ...state, jobs: state.jobs.map((each) => (each.id === job.id ? job : each)) };
}

/** A job with nothing but what was bought for it; null: nothing was. */
function onlyBought(state: Reads, job: Job): Job | null {
  const lines = job.lines.filter(
    ({ id, kind }) => kind === "part" && Math.max(orderedQuantity(state, id), receivedQuantity(state, id)) > 0,
  );
  if (lines.length === 0) return null;
  const { setPrice: _set, off: _off, others: _others, way: _way, ...kept } = job;
  return { ...kept, title: `${job.title}: parts ordered`, lines };
}
