import { tenThousandths } from "../exact/decimal";
import type { QuoteLine } from "../quoting/line";
import type { CommandContext } from "./commandContext";
import type { WorkOrderCommandOf } from "./commands";
import { orderOf } from "./partStatus";
import { Refusal } from "./refusal";
import type { Job, WorkOrderState } from "./state";

/** Puts a job of the library on the quote. @throws {Refusal} when it is there, or not in the library. */
export function addJob(
  state: WorkOrderState,
  command: WorkOrderCommandOf<"addJob">,
  context: CommandContext,
): WorkOrderState {
  const { jobId: id, libraryJobId, lineIds, concernId, pointId } = command;
  requireNewJob(state, id);
  const template = context.library.find((job) => job.id === libraryJobId);
  if (!template) throw new Refusal("job/not-in-library");
  if (lineIds.length !== template.lines.length || new Set(lineIds).size !== lineIds.length)
    throw new Refusal("job/lines-do-not-match");
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
export function addOwnJob(
  state: WorkOrderState,
  command: WorkOrderCommandOf<"addOwnJob">,
  context: CommandContext,
): WorkOrderState {
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
export function removeJob(state: WorkOrderState, jobId: string): WorkOrderState {
  const job = state.jobs.find(({ id }) => id === jobId);
  if (!job) throw new Refusal("job/not-found");
  if (job.finishedAt) throw new Refusal("job/finished");
  if (job.lines.some((line) => orderOf(state, line.id))) throw new Refusal("line/ordered");
  return { ...state, jobs: state.jobs.filter(({ id }) => id !== jobId) };
}

export function addLine(state: WorkOrderState, jobId: string, line: QuoteLine): WorkOrderState {
  requireNewLine(state, line.id);
  const figures = Object.values(line).filter((value) => typeof value === "number");
  if (figures.some((figure) => tenThousandths(figure) === null)) throw new Refusal("line/figure-does-not-fit");
  if (
    line.kind === "part" &&
    line.priceCents === null &&
    (line.markup === null || !state.rules.pricing.markup?.[line.markup])
  )
    throw new Refusal("line/figure-does-not-fit");
  return changeJob(state, jobId, (job) => ({ ...job, lines: [...job.lines, line] }));
}

/** Takes a line off a job. @throws {Refusal} when it was ordered. */
export function removeLine(state: WorkOrderState, lineId: string): WorkOrderState {
  const job = jobOfLine(state, lineId);
  if (orderOf(state, lineId)) throw new Refusal("line/ordered");
  return changeJob(state, job.id, (before) => ({ ...before, lines: before.lines.filter(({ id }) => id !== lineId) }));
}

/** Changes hours, quantity or price of a line. @throws {Refusal} when the line has no such figure. */
export function changeLine(state: WorkOrderState, command: WorkOrderCommandOf<"changeLine">): WorkOrderState {
  const job = jobOfLine(state, command.lineId);
  return changeJob(state, job.id, (before) => ({
    ...before,
    lines: before.lines.map((line) => (line.id === command.lineId ? changed(line, command) : line)),
  }));
}

function changed(line: QuoteLine, { hours, quantity, priceCents }: WorkOrderCommandOf<"changeLine">): QuoteLine {
  if (line.kind === "labor") {
    if (quantity !== null) throw new Refusal("line/figure-does-not-fit");
    return { ...line, hours: hours ?? line.hours, rateCents: priceCents ?? line.rateCents };
  }
  if (hours !== null) throw new Refusal("line/figure-does-not-fit");
  if (line.kind === "part")
    return { ...line, quantity: quantity ?? line.quantity, priceCents: priceCents ?? line.priceCents };
  return { ...line, quantity: quantity ?? line.quantity, priceCents: priceCents ?? line.priceCents };
}

function withJob(state: WorkOrderState, job: Job): WorkOrderState {
  return { ...state, jobs: [...state.jobs, job] };
}

function changeJob(state: WorkOrderState, jobId: string, change: (job: Job) => Job): WorkOrderState {
  const job = state.jobs.find(({ id }) => id === jobId);
  if (!job) throw new Refusal("job/not-found");
  if (job.finishedAt) throw new Refusal("job/finished");
  return { ...state, jobs: state.jobs.map((other) => (other.id === jobId ? change(other) : other)) };
}

function jobOfLine(state: WorkOrderState, lineId: string): Job {
  const job = state.jobs.find(({ lines }) => lines.some(({ id }) => id === lineId));
  if (!job) throw new Refusal("line/not-found");
  return job;
}

function requireNewJob(state: WorkOrderState, jobId: string): void {
  if (state.jobs.some(({ id }) => id === jobId)) throw new Refusal("job/exists");
}

function requireNewLine(state: WorkOrderState, lineId: string): void {
  if (state.jobs.some(({ lines }) => lines.some(({ id }) => id === lineId))) throw new Refusal("line/exists");
}
