import type { CommandContext } from "../commands/context";
import { markConflict } from "../conflicts/markConflict";
import type { ConflictSlice } from "../conflicts/slice";
import { inOtherWay } from "../quoting/inOtherWay";
import { seenNow, type SeenOfJob } from "../quoting/ownPrices";
import type { Answer, Job, JobAnswer, QuoteSlice } from "../quoting/slice";
import { jobTotals } from "../quoting/totals";
import type { ApprovalConflict } from "./conflicts";
import { digestOf } from "./digest";
import type { ShownQuote } from "./shownQuote";
import type { AnswerWay, ApprovalSlice, Signature } from "./slice";
import { chosenWay } from "./sumShown";
import { yesChange } from "./yesChange";

/** What was said of one job. */
export interface GivenAnswer {
  jobId: string;
  title: string;
  answer: Answer;
  totalCents: number;
  otherId?: string | null | undefined;
  reason?: string | undefined;
  askOn?: string | undefined;
}

/** What a customer answered, and what they saw as they did. */
export interface GivenAnswers {
  approvalId: string;
  way: AnswerWay;
  name: string;
  signature: Signature;
  answers: readonly GivenAnswer[];
  totalCents: number;
  shown?: ShownQuote | undefined;
  needsAlso?: string | undefined;
  phone?: string | undefined;
}

type Reads = ApprovalSlice & QuoteSlice & ConflictSlice;
type Writes = Pick<ApprovalSlice, "approvals" | "noSale"> & Pick<QuoteSlice, "jobs"> & ConflictSlice;

/**
 * Records what a customer answered, for what they saw. Where a job is another by now the answer is kept for what was seen,
 * so it does not stand, and a conflict mark says so. Of two answers to one job the one given later stands, in whatever
 * order they arrive.
 */
export function recordAnswers(state: Reads, given: GivenAnswers, context: CommandContext): Partial<Writes> {
  const { approvalId: id, way, name, signature, answers, totalCents, shown, needsAlso, phone } = given;
  const { at, actor } = context;
  // Given once, however it was sent again.
  if (state.approvals.some((before) => before.id === id)) return {};
  const overtaken = answers.filter(({ jobId }) => isOvertaken(state, jobId, at));
  const standing = answers.filter((each) => !overtaken.includes(each));
  const answered = standing.reduce((jobs, each) => withAnswer({ ...state, jobs }, each, given), state.jobs);
  const after = { ...state, jobs: answered };
  const agreed = standing.filter(({ answer }) => answer === "yes");
  const jobOf = (jobId: string): Job | undefined => answered.find((job) => job.id === jobId);
  const gone = agreed.filter(({ jobId }) => jobOf(jobId) === undefined);
  const changed = agreed.filter(({ jobId, totalCents: seen }) => {
    const job = jobOf(jobId);
    if (!job) return false;
    return shown ? yesChange(after, job) !== null : jobTotals(state).get(jobId) !== seen;
  });
  const titles = (of: readonly GivenAnswer[]): string => of.map(({ title }) => title).join(", ");
  let conflicts = state.conflicts;
  const mark = (code: ApprovalConflict, of: readonly GivenAnswer[]): void => {
    if (of.length > 0) conflicts = markConflict(conflicts, code, titles(of), context);
  };
  mark("approval/job-gone", gone);
  mark("approval/price-changed", changed);
  mark("approval/later-stands", overtaken);
  return {
    approvals: [
      ...state.approvals,
      {
        ...{ id, at, by: actor.id, way, name, signature, totalCents },
        answers: answers.map((each) => kept(each, shown)),
        ...(phone ? { phone } : {}),
        ...(needsAlso ? { needsAlso } : {}),
        ...(shown ? { shown: digestOf(shown) } : {}),
      },
    ],
    jobs: answered,
    conflicts,
    ...(state.noSale && agreed.length > 0 ? { noSale: null } : {}),
  };
}

function isOvertaken({ jobs, approvals }: Reads, jobId: string, at: string): boolean {
  const answer = jobs.find((job) => job.id === jobId)?.answer;
  const before = answer && approvals.find(({ id }) => id === answer.approvalId);
  return before ? before.at > at : false;
}

function withAnswer(quote: QuoteSlice, each: GivenAnswer, { approvalId, shown, needsAlso }: GivenAnswers): Job[] {
  return quote.jobs.map((job) => {
    if (job.id !== each.jobId) return job;
    const chosen = each.answer === "yes" ? inOtherWay(job, each.otherId) : job;
    const answer: JobAnswer = {
      ...{ value: each.answer, approvalId, totalCents: each.totalCents },
      ...(each.answer === "yes" ? { seen: seenOf(quote, chosen, each, shown) } : {}),
      ...(each.answer === "yes" && needsAlso ? { needsAlso } : {}),
      ...(each.reason ? { reason: each.reason } : {}),
      ...(each.askOn ? { askOn: each.askOn } : {}),
    };
    const { seen, ...withoutSeen } = answer;
    return { ...chosen, answer: seen ? answer : withoutSeen };
  });
}

/** What a yes is for: what was shown; of an older app, which did not say, what stands where the total is the same. */
function seenOf(
  quote: QuoteSlice,
  job: Job,
  { otherId, totalCents }: GivenAnswer,
  shown: ShownQuote | undefined,
): SeenOfJob | undefined {
  const was = shown?.jobs.find(({ id }) => id === job.id);
  if (was) {
    const { cents, parts } = chosenWay(was, { otherId });
    return { cents, parts, payerId: was.payerId };
  }
  return jobTotals(quote).get(job.id) === totalCents ? (seenNow(quote, job.id) ?? undefined) : undefined;
}

function kept(
  { jobId, title, answer, totalCents, reason, askOn, otherId }: GivenAnswer,
  shown: ShownQuote | undefined,
): ApprovalSlice["approvals"][number]["answers"][number] {
  const was = shown?.jobs.find(({ id }) => id === jobId);
  const wayTitle = was && was.ways.length > 1 ? chosenWay(was, { otherId }).title : "";
  return {
    ...{ jobId, title, answer, totalCents },
    ...(reason ? { reason } : {}),
    ...(askOn ? { askOn } : {}),
    ...(wayTitle ? { wayTitle } : {}),
  };
}
