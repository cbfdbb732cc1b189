import { Refusal } from "../commands/refusal";
import { amountOf } from "./amountOf";
import { dearestCents } from "./dearestCents";
import { hangFees } from "./hangFees";
import type { QuoteLine } from "./quoteLine";
import type { QuotingRefusal } from "./refusals";
import { shareSteps } from "./shareSteps";
import type { Job, QuoteSlice } from "./slice";

export type Jobs = Pick<QuoteSlice, "jobs">;
/** The jobs with the rules that say what labor costs and which fees hang on what. */
export type Quoted = Pick<QuoteSlice, "jobs" | "rules">;

/** A quote that is longer is nobody's to read, and takes too long to price. */
const MOST_JOBS = 100;
const MOST_LINES = 100;
const MOST_OF_LINE_CENTS = 1_000_000_000;

export const refuse = (code: QuotingRefusal): Refusal<QuotingRefusal> => new Refusal(code);

/** @throws {Refusal} for what no line comes to; sums beyond are not exact any more. */
export function requireBounds(line: QuoteLine): void {
  // What is no number at all is not below it either.
  if (!(amountOf(line) * dearestCents(line) <= MOST_OF_LINE_CENTS)) throw refuse("line/too-much");
}

/** @throws {Refusal} where a job has as many lines as it can hold. */
export function requireRoom({ lines }: Job): void {
  if (lines.length >= MOST_LINES) throw refuse("line/too-many");
}

/** The jobs after a change of one: shared steps paid once, fees with what they hang on. */
export function settled({ rules }: Quoted, jobs: readonly Job[]): Jobs {
  return { jobs: shareSteps(jobs.map((job) => hangFees(job, rules))) };
}

/** The jobs with one more. @throws {Refusal} when there are too many. */
export function withJob(state: Quoted, job: Job): Jobs {
  if (state.jobs.length >= MOST_JOBS) throw refuse("job/too-many");
  return settled(state, [...state.jobs, job]);
}

/** Changes one job. @throws {Refusal} when it is not there, or finished. */
export function changeJob(state: Quoted, jobId: string, change: (job: Job) => Job): Jobs {
  const job = state.jobs.find(({ id }) => id === jobId);
  if (!job) throw refuse("job/not-found");
  if (job.finishedAt) throw refuse("job/finished");
  return settled(
    state,
    state.jobs.map((other) => (other.id === jobId ? change(other) : other)),
  );
}

/** The job a line is of. @throws {Refusal} when it is of none. */
export function jobOfLine(state: Quoted, lineId: string): Job {
  const job = state.jobs.find(({ lines }) => lines.some(({ id }) => id === lineId));
  if (!job) throw refuse("line/not-found");
  return job;
}

/** @throws {Refusal} when the id is taken. */
export function requireNewJob(state: Quoted, jobId: string): void {
  if (state.jobs.some(({ id }) => id === jobId)) throw refuse("job/exists");
}

/** @throws {Refusal} when the id is taken. */
export function requireNewLine(state: Quoted, lineId: string): void {
  if (state.jobs.some(({ lines }) => lines.some(({ id }) => id === lineId))) throw refuse("line/exists");
}

/** Changes one line where it stands. @throws {Refusal} when its job is finished. */
export function changeLineOf(state: Quoted, lineId: string, change: (line: QuoteLine, job: Job) => QuoteLine): Jobs {
  return changeJob(state, jobOfLine(state, lineId).id, (job) => ({
    ...job,
    lines: job.lines.map((line) => (line.id === lineId ? change(line, job) : line)),
  }));
}
