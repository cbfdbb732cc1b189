import type { z } from "zod";
import type { CommandContext } from "../commands/context";
import { Refusal } from "../commands/refusal";
import { isOrdered } from "../sourcing/ordered";
import type { SourcingSlice } from "../sourcing/slice";
import type { addJobSchema, addOwnJobSchema, changeLineSchema } from "./commandSchemas";
import type { QuoteLine } from "./line";
import type { QuotingRefusal } from "./refusals";
import type { Job, QuoteSlice } from "./slice";

type Jobs = Pick<QuoteSlice, "jobs">;
/** What a job may not be taken off for: a part of it is on order. */
type JobsAndOrders = Jobs & Pick<SourcingSlice, "orders">;

/** A quote that is longer is nobody's to read, and takes too long to price. */
const MOST_JOBS = 100;
const MOST_LINES = 100;
const MOST_OF_LINE_CENTS = 1_000_000_000;

const refuse = (code: QuotingRefusal): Refusal<QuotingRefusal> => new Refusal(code);

/** Puts a job of the library on the quote. @throws {Refusal} when it is there, or not in the library. */
export function addJob(state: Jobs, command: z.output<typeof addJobSchema>, context: CommandContext): Jobs {
  const { jobId: id, libraryJobId, lineIds, concernId, pointId } = command;
  requireNewJob(state, id);
  const template = context.library.find((job) => job.id === libraryJobId);
  if (!template) throw refuse("job/not-in-library");
  if (lineIds.length !== template.lines.length || new Set(lineIds).size !== lineIds.length)
    throw refuse("job/lines-do-not-match");
  lineIds.forEach((lineId) => requireNewLine(state, lineId));
  const lines = template.lines.map((line, index) => ({ ...line, id: lineIds[index] ?? line.id }));
  return withJob(state, {
    id,
    title: template.title,
    libraryJobId,
    concernId,
    pointId,
    lines,
    addedAt: context.at,
    answer: null,
    finishedAt: null,
  });
}

/** Starts a job of its own, without lines. @throws {Refusal} when the id is taken. */
export function addOwnJob(state: Jobs, command: z.output<typeof addOwnJobSchema>, context: CommandContext): Jobs {
  const { jobId: id, title, concernId } = command;
  requireNewJob(state, id);
  return withJob(state, {
    id,
    title,
    libraryJobId: null,
    concernId,
    pointId: null,
    lines: [],
    addedAt: context.at,
    answer: null,
    finishedAt: null,
  });
}

/** Takes a job off the quote. @throws {Refusal} when it is finished or a part of it was ordered. */
export function removeJob(state: JobsAndOrders, jobId: string): Jobs {
  const job = state.jobs.find(({ id }) => id === jobId);
  if (!job) throw refuse("job/not-found");
  if (job.finishedAt) throw refuse("job/finished");
  if (job.lines.some((line) => isOrdered(state, line.id))) throw refuse("line/ordered");
  return { jobs: state.jobs.filter(({ id }) => id !== jobId) };
}

/** Puts a line on a job. @throws {Refusal} when a figure does not fit, or a part has neither price nor table. */
export function addLine(state: QuoteSlice, jobId: string, line: QuoteLine): Jobs {
  requireNewLine(state, line.id);
  requireBounds(line);
  if (line.kind === "part" && line.priceCents === null && (line.markup === null || !hasMarkup(state, line.markup)))
    throw refuse("line/figure-does-not-fit");
  const kept = { ...withHousesWage(line, state.rules), byHand: true };
  return changeJob(state, jobId, (job) => {
    if (job.lines.length >= MOST_LINES) throw refuse("line/too-many");
    return { ...job, lines: [...job.lines, kept] };
  });
}

/** A markup table of the business, by its name. */
function hasMarkup({ rules }: QuoteSlice, name: string): boolean {
  return Object.hasOwn(rules.pricing.markup ?? {}, name);
}

/** Whoever may not see wages leaves them out; the work costs the house its wage all the same. */
function withHousesWage(line: QuoteLine, { wageCents }: QuoteSlice["rules"]): QuoteLine {
  return line.kind === "labor" ? { ...line, wageCents: line.wageCents ?? wageCents } : line;
}

/** Takes a line off a job. @throws {Refusal} when it was ordered. */
export function removeLine(state: JobsAndOrders, lineId: string): Jobs {
  const job = jobOfLine(state, lineId);
  if (isOrdered(state, lineId)) throw refuse("line/ordered");
  return changeJob(state, job.id, (before) => ({ ...before, lines: before.lines.filter(({ id }) => id !== lineId) }));
}

/** Changes hours, quantity or price of a line. @throws {Refusal} when the line has no such figure. */
export function changeLine(state: Jobs, command: z.output<typeof changeLineSchema>): Jobs {
  const job = jobOfLine(state, command.lineId);
  return changeJob(state, job.id, (before) => ({
    ...before,
    lines: before.lines.map((line) => (line.id === command.lineId ? changed(line, command) : line)),
  }));
}

function changed(line: QuoteLine, { hours, quantity, priceCents }: z.output<typeof changeLineSchema>): QuoteLine {
  const after = withFigures(line, { hours, quantity, priceCents });
  requireBounds(after);
  return countOf(after) === countOf(line) ? after : { ...after, byHand: true };
}

const countOf = (line: QuoteLine): number => (line.kind === "labor" ? line.hours : line.quantity);

/** @throws {Refusal} for what no line comes to; sums beyond are not exact any more. */
function requireBounds(line: QuoteLine): void {
  const [count, each] =
    line.kind === "labor"
      ? [line.hours, line.rateCents]
      : [line.quantity, Math.max(line.priceCents ?? 0, line.kind === "part" ? (line.costCents ?? 0) : 0)];
  if (count * each > MOST_OF_LINE_CENTS) throw refuse("line/too-much");
}

type Figures = Pick<z.output<typeof changeLineSchema>, "hours" | "quantity" | "priceCents">;

function withFigures(line: QuoteLine, { hours, quantity, priceCents }: Figures): QuoteLine {
  if (line.kind === "labor") {
    if (quantity !== null) throw refuse("line/figure-does-not-fit");
    return { ...line, hours: hours ?? line.hours, rateCents: priceCents ?? line.rateCents };
  }
  if (hours !== null) throw refuse("line/figure-does-not-fit");
  if (line.kind === "part")
    return { ...line, quantity: quantity ?? line.quantity, priceCents: priceCents ?? line.priceCents };
  return { ...line, quantity: quantity ?? line.quantity, priceCents: priceCents ?? line.priceCents };
}

function withJob(state: Jobs, job: Job): Jobs {
  if (state.jobs.length >= MOST_JOBS) throw refuse("job/too-many");
  return { jobs: [...state.jobs, job] };
}

function changeJob(state: Jobs, jobId: string, change: (job: Job) => Job): Jobs {
  const job = state.jobs.find(({ id }) => id === jobId);
  if (!job) throw refuse("job/not-found");
  if (job.finishedAt) throw refuse("job/finished");
  return { jobs: state.jobs.map((other) => (other.id === jobId ? change(other) : other)) };
}

function jobOfLine(state: Jobs, lineId: string): Job {
  const job = state.jobs.find(({ lines }) => lines.some(({ id }) => id === lineId));
  if (!job) throw refuse("line/not-found");
  return job;
}

function requireNewJob(state: Jobs, jobId: string): void {
  if (state.jobs.some(({ id }) => id === jobId)) throw refuse("job/exists");
}

function requireNewLine(state: Jobs, lineId: string): void {
  if (state.jobs.some(({ lines }) => lines.some(({ id }) => id === lineId))) throw refuse("line/exists");
}
