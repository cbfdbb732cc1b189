import type { z } from "zod";
import type { CommandContext } from "../commands/context";
import type {
  addJobSchema,
  addOwnJobSchema,
  addPartSchema,
  assignLaborSchema,
  changeLineSchema,
  chooseRateSchema,
  customersPartSchema,
  foundBySchema,
  refitJobSchema,
  showIncludedSchema,
  tieFindingsSchema,
  usePartSchema,
} from "./commandSchemas";
import { amountOf } from "./amountOf";
import {
  changeJob,
  changeLineOf,
  jobOfLine,
  refuse,
  requireBounds,
  requireNewJob,
  requireNewLine,
  requireRoom,
  withJob,
  type Jobs,
  type Quoted,
} from "./jobsOfQuote";
import { inserted } from "./inserted";
import type { LaborGuide } from "../laborGuide/guide";
import type { LibraryJob } from "./libraryJob";
import type { LaborLine, PartLine, QuoteLine } from "./quoteLine";
import { libraryPart } from "./libraryPart";
import { isWholeOrder } from "./broughtJobs";
import { fitJob } from "./fitJob";
import { CHOSEN_RATE, atRate, circumstancesOf, standingRate, withHousesRate, withStandingRates } from "./standingRate";
import type { Job, QuoteSlice } from "./slice";

/** What a job is put on a quote with. */
export interface QuotingContext extends CommandContext, Fitting {}
/** What a job is fitted with beside what is known of the car. */
interface Fitting {
  /** Empty where the command does not need it. */
  library: readonly LibraryJob[];
  /** Absent: not here yet, or not needed; hours are the library's then. */
  guide?: LaborGuide | undefined;
}

/** Puts a job of the library on the quote. @throws {Refusal} when it is there, or not in the library. */
export function addJob(state: Quoted, command: z.output<typeof addJobSchema>, context: QuotingContext): Jobs {
  const { jobId: id, libraryJobId, lineIds, concernId, pointIds } = command;
  requireNewJob(state, id);
  const template = context.library.find((job) => job.id === libraryJobId);
  if (!template) throw refuse("job/not-in-library");
  if (isWholeOrder(template)) throw refuse("job/whole-order");
  if (lineIds.length !== template.lines.length || new Set(lineIds).size !== lineIds.length)
    throw refuse("job/lines-do-not-match");
  lineIds.forEach((lineId) => requireNewLine(state, lineId));
  const {
    lines: fitted,
    title,
    doesNotApply,
  } = command.fit ? fitJob(template, command.fit, context.guide) : { ...template, doesNotApply: null };
  if (doesNotApply) throw refuse("job/does-not-apply");
  const lines = fitted.map((line, index) => ({ ...line, id: lineIds[index] ?? line.id }));
  lines.forEach(requireBounds);
  const fit = command.fit && {
    ...command.fit,
    facts: { ...command.fit.facts },
    lineIds: lines.map(({ id: lineId }, index) => ({ id: lineId, libraryLineId: template.lines[index]?.id ?? "" })),
  };
  const job: Job = {
    ...(fit ? { fit } : {}),
    ...(template.isDiagnosis ? { isDiagnosis: true } : {}),
    id,
    title,
    libraryJobId,
    concernId,
    pointIds,
    lines: fit ? lines.map(withHousesRate) : lines,
    addedAt: context.at,
    answer: null,
    finishedAt: null,
  };
  return withJob(state, withStandingRates(job, state.rules));
}

/**
 * Fits a job anew. What was typed by hand, added or taken off stays so.
 * @throws {Refusal} when the library has it no more, or there is nothing to do on this car.
 */
export function refitJob(state: Quoted, { jobId, fit }: z.output<typeof refitJobSchema>, context: Fitting): Jobs {
  return changeJob(state, jobId, (job) => {
    const template = context.library.find(({ id }) => id === job.libraryJobId);
    if (!template) throw refuse("job/not-in-library");
    const { lines, title, doesNotApply } = fitJob(template, fit, context.guide);
    if (doesNotApply) throw refuse("job/does-not-apply");
    const lineIds = job.fit?.lineIds ?? linesOf(job, template);
    const anew = new Map(
      lineIds.map(({ id, libraryLineId }) => [id, lines.find((line) => line.id === libraryLineId)] as const),
    );
    const refitted: Job = {
      ...job,
      title,
      fit: { ...fit, lineIds },
      lines: job.lines.map((line) => {
        const next = anew.get(line.id);
        if (!next || next.kind !== line.kind) return line;
        const after = withOwnFigures({ ...next, id: line.id }, line);
        requireBounds(after);
        return after;
      }),
    };
    return withStandingRates(refitted, state.rules);
  });
}

/** The library's lines of a job that was put on a quote as the library had it, by what they are called. */
function linesOf(job: Job, template: LibraryJob): { id: string; libraryLineId: string }[] {
  return template.lines.flatMap(({ id: libraryLineId, kind, description }) => {
    const line = job.lines.find((each) => each.kind === kind && each.description === description);
    return line ? [{ id: line.id, libraryLineId }] : [];
  });
}

/** A line as it is fitted anew, with the hours, quantity or price a person set. */
function withOwnFigures(next: QuoteLine, before: QuoteLine): QuoteLine {
  if (next.kind === "labor" && before.kind === "labor")
    return {
      ...next,
      rateCents: before.rateCents,
      ...(before.rate ? { rate: before.rate } : {}),
      ...(before.assigned ? { assigned: before.assigned } : {}),
      ...(before.showsIncluded ? { showsIncluded: true } : {}),
      ...(before.priceByHand ? { priceByHand: true } : {}),
      ...(before.byHand ? { hours: before.hours, byHand: true } : {}),
    };
  if (next.kind === "sublet" && before.kind === "sublet")
    return { ...next, costCents: before.costCents, percent: before.percent };
  if (isUncounted(next) || isUncounted(before)) return next;
  const quantity = before.byHand ? { quantity: before.quantity, byHand: true } : {};
  const after = next.kind === "part" && before.kind === "part" ? withOwnPart(next, before) : next;
  return isPricedByHand(before)
    ? { ...after, ...quantity, priceCents: before.priceCents ?? 0, priceByHand: true }
    : { ...after, ...quantity };
}

/** Which part it is, and who brings it, where a person said so. */
function withOwnPart(next: PartLine, before: PartLine): PartLine {
  const { isCustomers, partByHand, description, partNumber, brand, costCents, priceCents } = before;
  return {
    ...next,
    ...(isCustomers ? { isCustomers } : {}),
    ...(partByHand ? { description, partNumber, brand, costCents, priceCents, partByHand } : {}),
  };
}

type CountedLine = Exclude<QuoteLine, { kind: "labor" | "sublet" }>;

function isUncounted(line: QuoteLine): line is Exclude<QuoteLine, CountedLine> {
  return line.kind === "labor" || line.kind === "sublet";
}

/** A part whose cost is seen and that has a price all the same was priced before that was written down. */
function isPricedByHand(line: QuoteLine): line is CountedLine {
  if (isUncounted(line)) return false;
  return line.priceByHand ?? (line.kind === "part" && line.costCents !== null && line.priceCents !== null);
}

/** Starts a job of its own, without lines. @throws {Refusal} when the id is taken. */
export function addOwnJob(state: Quoted, command: z.output<typeof addOwnJobSchema>, context: CommandContext): Jobs {
  const { jobId: id, title, concernId, on } = command;
  requireNewJob(state, id);
  return withJob(state, {
    ...(on ? { on } : {}),
    id,
    title,
    libraryJobId: null,
    concernId,
    pointIds: [],
    lines: [],
    addedAt: context.at,
    answer: null,
    finishedAt: null,
  });
}

/** Ties findings to a job that cures them, too. @throws {Refusal} when it is not there. */
export function tieFindings(state: Quoted, { jobId, pointIds }: z.output<typeof tieFindingsSchema>): Jobs {
  return changeJob(state, jobId, (job) => ({ ...job, pointIds: [...new Set([...job.pointIds, ...pointIds])] }));
}

/** Puts a line on a job; it counts as typed unless its hours are the guide's. @throws {Refusal} when a figure does not fit, or a part has neither price nor table. */
export function addLine(
  state: QuoteSlice,
  jobId: string,
  line: QuoteLine,
  by: "hand" | "fromGuide" = "hand",
  beforeLineId: string | null = null,
): Jobs {
  requireNewLine(state, line.id);
  requireBounds(line);
  if (line.kind === "part" && line.priceCents === null && (line.markup === null || !hasMarkup(state, line.markup)))
    throw refuse("line/figure-does-not-fit");
  const housed = withHousesWage(line, state.rules);
  const kept = by === "hand" ? { ...housed, byHand: true } : housed;
  // At the general rate it is at whichever of the house stands for this work.
  const rated = kept.kind === "labor" && kept.rateCents === state.rules.laborRateCents ? withHousesRate(kept) : kept;
  return changeJob(state, jobId, (job) => {
    requireRoom(job);
    return withStandingRates({ ...job, lines: inserted(job.lines, rated, beforeLineId) }, state.rules);
  });
}

/** Puts a part of the library on a job, as it is on this car. @throws {Refusal} when the library has it no more. */
export function addPart(state: QuoteSlice, command: z.output<typeof addPartSchema>, context: Fitting): Jobs {
  const { jobId, lineId, libraryJobId, libraryLineId, fit } = command;
  requireNewLine(state, lineId);
  const template = context.library.find(({ id }) => id === libraryJobId);
  const line = template && fitJob(template, fit, context.guide).lines.find(({ id }) => id === libraryLineId);
  if (line?.kind !== "part") throw refuse("job/not-in-library");
  return changeJob(state, jobId, (job) => {
    requireRoom(job);
    return { ...job, lines: [...job.lines, { ...line, id: lineId }] };
  });
}

/** Puts labor at a rate of the house. @throws {Refusal} when the quote has no such rate, or the line is no labor. */
export function chooseRate(state: QuoteSlice, { lineId, rateId }: z.output<typeof chooseRateSchema>): Jobs {
  const { rates = [], laborRateCents } = state.rules;
  const cents = rateId === null ? laborRateCents : rates.find(({ id }) => id === rateId)?.cents;
  if (cents === undefined) throw refuse("rate/not-found");
  return changeLineOf(state, lineId, (line, job) => {
    if (line.kind !== "labor") throw refuse("line/figure-does-not-fit");
    const standing = standingRate(state.rules, circumstancesOf(job));
    const after = atRate(line, standing.id === rateId ? standing : { id: rateId, cents, because: [CHOSEN_RATE] });
    requireBounds(after);
    return after;
  });
}

/** Says whether the customer brings a part; the labor of its job is at the rate for that. @throws {Refusal} when the line is no part. */
export function setCustomersPart(
  state: QuoteSlice,
  { lineId, isCustomers }: z.output<typeof customersPartSchema>,
): Jobs {
  const { jobs } = changeLineOf(state, lineId, (line) => {
    if (line.kind !== "part") throw refuse("line/figure-does-not-fit");
    const { isCustomers: _before, ...kept } = line;
    return isCustomers ? { ...kept, isCustomers } : kept;
  });
  return changeJob({ ...state, jobs }, jobOfLine(state, lineId).id, (job) => withStandingRates(job, state.rules));
}

/**
 * Says which part a line is to be, at the library's price for it; where the library does not have it, or the price was
 * typed, at the price it has.
 * @throws {Refusal} when the line is no part.
 */
export function setPart(state: Quoted, command: z.output<typeof usePartSchema>, { library }: Fitting): Jobs {
  const { lineId, description, partNumber, brand } = command;
  return changeLineOf(state, lineId, (line) => {
    if (line.kind !== "part") throw refuse("line/figure-does-not-fit");
    const priced = isPricedByHand(line) ? null : libraryPart(library, { partNumber, brand });
    return { ...line, ...priced, description, partNumber, brand, partByHand: true };
  });
}

/** Says which diagnosis led to a repair. @throws {Refusal} when that is no diagnosis of this quote, or this no repair. */
export function setFoundBy(state: Quoted, { jobId, diagnosisId }: z.output<typeof foundBySchema>): Jobs {
  const isDiagnosis = (id: string): boolean => state.jobs.some((job) => job.id === id && job.isDiagnosis);
  if (isDiagnosis(jobId) || (diagnosisId !== null && !isDiagnosis(diagnosisId))) throw refuse("job/no-diagnosis");
  return changeJob(state, jobId, (job) => ({ ...job, foundBy: diagnosisId }));
}

/** Says who does a line. @throws {Refusal} when it is no labor. */
export function assignLabor(state: Quoted, { lineId, assigned }: z.output<typeof assignLaborSchema>): Jobs {
  return changeLineOf(state, lineId, (line) => {
    if (line.kind !== "labor") throw refuse("line/figure-does-not-fit");
    const { assigned: before = [], ...kept } = line;
    const hoursOf = (personId: string): number | null =>
      before.find((each) => each.personId === personId)?.hours ?? null;
    const after = assigned.map(({ personId, hours = hoursOf(personId) }) => ({ personId, hours }));
    return after.length > 0 ? { ...kept, assigned: after } : kept;
  });
}

/** Puts the work a labor line includes on the customer's paper, or takes it off. @throws {Refusal} when the line is no labor of the guide. */
export function showIncluded(state: Quoted, { lineId, isShown }: z.output<typeof showIncludedSchema>): Jobs {
  return changeLineOf(state, lineId, (line) => {
    if (line.kind !== "labor" || !line.steps) throw refuse("line/figure-does-not-fit");
    const { showsIncluded: _before, ...kept } = line;
    return isShown ? { ...kept, showsIncluded: true } : kept;
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

/** Changes hours, quantity or price of a line. @throws {Refusal} when the line has no such figure. */
export function changeLine(state: Quoted, command: z.output<typeof changeLineSchema>): Jobs {
  return changeLineOf(state, command.lineId, (line) => changed(line, command));
}

function changed(line: QuoteLine, { hours, quantity, priceCents }: z.output<typeof changeLineSchema>): QuoteLine {
  const after = withFigures(line, { hours, quantity, priceCents });
  requireBounds(after);
  const priced = priceCents === null ? after : { ...after, priceByHand: true };
  return amountOf(priced) === amountOf(line) ? priced : { ...priced, byHand: true };
}

type Figures = Pick<z.output<typeof changeLineSchema>, "hours" | "quantity" | "priceCents">;

function withFigures(line: QuoteLine, { hours, quantity, priceCents }: Figures): QuoteLine {
  if (line.kind === "labor") {
    if (quantity !== null) throw refuse("line/figure-does-not-fit");
    return {
      ...(priceCents === null ? line : withoutRate(line)),
      hours: hours ?? line.hours,
      rateCents: priceCents ?? line.rateCents,
    };
  }
  if (hours !== null || line.kind === "sublet") throw refuse("line/figure-does-not-fit");
  if (line.kind === "part")
    return { ...line, quantity: quantity ?? line.quantity, priceCents: priceCents ?? line.priceCents };
  return { ...line, quantity: quantity ?? line.quantity, priceCents: priceCents ?? line.priceCents };
}

/** A rate that is typed is none of the house's. */
function withoutRate({ rate: _rate, ...line }: LaborLine): LaborLine {
  return line;
}
