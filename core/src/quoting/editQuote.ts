import { dequal } from "dequal";
import type { z } from "zod";
import { exact, fromTenThousandths } from "../exact/decimal";
import type { CommandContext } from "../commands/context";
import { amountOf } from "./amountOf";
import type {
  addDiscountSchema,
  copyLineSchema,
  editJobSchema,
  editLineSchema,
  followTaxesSchema,
  moveJobSchema,
  moveLineSchema,
  putBackSchema,
  setValidUntilSchema,
  splitLineSchema,
  useOfferSchema,
} from "./editSchemas";
import {
  changeJob,
  changeLineOf,
  jobOfLine,
  refuse,
  requireBounds,
  requireNewLine,
  requireRoom,
  settled,
  type Jobs,
} from "./jobsOfQuote";
import { inserted } from "./inserted";
import { lawfulTaxes } from "./lawfulTaxes";
import type { MoneyRules } from "./moneyRules";
import type { QuoteDiscount } from "./discount";
import type { QuoteLine } from "./quoteLine";
import type { Job, QuoteSlice, TakenOff } from "./slice";
import { standingTable } from "./standingTable";
import { underRules } from "./underRules";

/** What a quote is changed with that goes by the owner's rules of today. */
export interface PricingContext extends CommandContext {
  settings: { rules: MoneyRules };
}

const MOST_DISCOUNTS = 10;
const MOST_TAKEN_OFF = 20;
const MOST_APART_MS = 2 * 24 * 3_600_000;

/** Changes words, notes, discount, kind or cost of a line. @throws {Refusal} for what does not fit its kind. */
export function editLine(state: QuoteSlice, { lineId, change }: z.output<typeof editLineSchema>): Jobs {
  return changeLineOf(state, lineId, (line) => {
    const after = editedLine(line, change, state.rules);
    requireBounds(after);
    return after;
  });
}

type LineChange = z.output<typeof editLineSchema>["change"];

function editedLine(line: QuoteLine, change: LineChange, rules: MoneyRules): QuoteLine {
  const { description = line.description, noteForCustomer, noteForUs, taxIds } = change;
  const worded = withOptional({ ...line, description }, { noteForCustomer, noteForUs }, "");
  const taxed = taxIds === undefined ? worded : withOptional(worded, { taxIds }, null);
  const discounted = change.off === undefined ? taxed : withOff(taxed, change.off);
  return withMaterial(discounted, change, rules);
}

/** With what was said, or without where it was taken back. */
function withOptional<Line extends QuoteLine>(line: Line, said: Record<string, unknown>, none: unknown): Line {
  const given = Object.entries(said).filter(([, value]) => value !== undefined);
  const gone = new Set(given.filter(([, value]) => value === none).map(([key]) => key));
  const set = Object.fromEntries(given.filter(([key]) => !gone.has(key)));
  return Object.fromEntries(Object.entries({ ...line, ...set }).filter(([key]) => !gone.has(key))) as Line;
}

function withOff(line: QuoteLine, off: NonNullable<LineChange["off"]> | null): QuoteLine {
  if (line.kind === "core") throw refuse("line/figure-does-not-fit");
  return withOptional(line, { off }, null);
}

/** What it is made of and costs: of parts and work bought in. */
function withMaterial(line: QuoteLine, change: LineChange, rules: MoneyRules): QuoteLine {
  const { costCents, percent, markup, condition, partKind } = change;
  const isOfPart = [markup, condition, partKind].some((each) => each !== undefined);
  if (line.kind === "sublet") {
    if (isOfPart) throw refuse("line/figure-does-not-fit");
    return { ...line, costCents: costCents ?? line.costCents, percent: percent ?? line.percent };
  }
  if (line.kind !== "part") {
    if (isOfPart || costCents !== undefined || percent !== undefined) throw refuse("line/figure-does-not-fit");
    return line;
  }
  if (percent !== undefined) throw refuse("line/figure-does-not-fit");
  if (markup !== undefined && !Object.hasOwn(rules.pricing.markup ?? {}, markup))
    throw refuse("line/figure-does-not-fit");
  const kinded = { ...line, condition: condition ?? line.condition, partKind: partKind ?? line.partKind };
  const costed = costCents === undefined ? kinded : { ...kinded, costCents };
  // Another kind goes by its own table, where the line goes by one at all.
  const table = markup ?? (partKind !== undefined && line.markup !== null ? standingTable(rules, { partKind }) : null);
  if (table === null) return costed;
  const { priceByHand: _typed, ...byTable } = costed;
  return markup === undefined ? { ...costed, markup: table } : { ...byTable, markup: table, priceCents: null };
}

/** Puts a line elsewhere. @throws {Refusal} when one of the jobs is finished, or full. */
export function moveLine(state: QuoteSlice, { lineId, jobId, beforeLineId }: z.output<typeof moveLineSchema>): Jobs {
  const from = jobOfLine(state, lineId);
  const line = from.lines.find(({ id }) => id === lineId);
  const to = state.jobs.find(({ id }) => id === jobId);
  if (!line || !to) throw refuse("job/not-found");
  if (to.id !== from.id) requireRoom(to);
  if (to.finishedAt) throw refuse("job/finished");
  const { jobs } = changeJob(state, from.id, (job) => withoutLine(job, lineId));
  return changeJob({ ...state, jobs }, jobId, (job) => ({ ...job, lines: inserted(job.lines, line, beforeLineId) }));
}

/** Puts a job elsewhere in the order of the quote. @throws {Refusal} when it is not there. */
export function moveJob(state: QuoteSlice, { jobId, beforeJobId }: z.output<typeof moveJobSchema>): Jobs {
  const job = state.jobs.find(({ id }) => id === jobId);
  if (!job) throw refuse("job/not-found");
  return settled(
    state,
    inserted(
      state.jobs.filter(({ id }) => id !== jobId),
      job,
      beforeJobId,
    ),
  );
}

/** A line once more, below it. @throws {Refusal} when the job is full. */
export function copyLine(state: QuoteSlice, { lineId, newLineId }: z.output<typeof copyLineSchema>): Jobs {
  requireNewLine(state, newLineId);
  return changeJob(state, jobOfLine(state, lineId).id, (job) => {
    requireRoom(job);
    return {
      ...job,
      lines: job.lines.flatMap((line) => (line.id === lineId ? [line, copied(line, newLineId)] : [line])),
    };
  });
}

/** A line by itself: what of it is paid elsewhere, or hangs on something, is its own. */
function copied(line: QuoteLine, id: string): QuoteLine {
  if (line.kind === "fee") {
    const { feeId: _hung, ...fee } = line;
    return { ...fee, id, byHand: true };
  }
  return { ...line, id, byHand: true };
}

/** Makes two lines of one. @throws {Refusal} when nothing would be left of it, or it cannot be counted. */
export function splitLine(state: QuoteSlice, command: z.output<typeof splitLineSchema>): Jobs {
  const { lineId, newLineId, amount } = command;
  requireNewLine(state, newLineId);
  return changeJob(state, jobOfLine(state, lineId).id, (job) => {
    requireRoom(job);
    const lines = job.lines.flatMap((line) => {
      if (line.id !== lineId) return [line];
      const left = exact(amountOf(line)) - exact(amount);
      if (line.kind === "sublet" || left <= 0n || amount === 0) throw refuse("line/figure-does-not-fit");
      const rest = withAmount({ ...line, byHand: true }, fromTenThousandths(left));
      return [rest, withAmount(copied(line, newLineId), amount)];
    });
    return { ...job, lines };
  });
}

function withAmount(line: QuoteLine, amount: number): QuoteLine {
  if (line.kind === "labor") return { ...line, hours: amount };
  return line.kind === "sublet" ? line : { ...line, quantity: amount };
}

/** Changes what stands about a job as a whole. @throws {Refusal} for a set price that names no line of it. */
export function editJob(
  state: QuoteSlice,
  { jobId, change }: z.output<typeof editJobSchema>,
): Pick<QuoteSlice, "jobs"> & Partial<Pick<QuoteSlice, "payers">> {
  const { payer } = change;
  const { jobs } = changeJob(state, jobId, (job) => editedJob(job, change));
  if (!payer) return { jobs };
  return { jobs, payers: [...(state.payers ?? []).filter(({ id }) => id !== payer.id), payer] };
}

function editedJob(
  job: Job,
  { title, concernId, off, setPrice, payer }: z.output<typeof editJobSchema>["change"],
): Job {
  const { off: offBefore, setPrice: setBefore, payerId: payerBefore, ...kept } = job;
  const offNow = off === undefined ? offBefore : off;
  const setNow = setPrice === undefined ? setBefore : setPrice;
  const payerNow = payer === undefined ? payerBefore : payer?.id;
  if (setNow && !includesItsLines(job, setNow)) throw refuse("line/figure-does-not-fit");
  return {
    ...kept,
    title: title ?? job.title,
    concernId: concernId === undefined ? job.concernId : concernId,
    ...(offNow ? { off: offNow } : {}),
    ...(setNow ? { setPrice: setNow } : {}),
    ...(payerNow === undefined ? {} : { payerId: payerNow }),
  };
}

function includesItsLines({ lines }: Job, { included }: NonNullable<Job["setPrice"]>): boolean {
  const ids = included.map(({ lineId }) => lineId);
  return (
    new Set(ids).size === ids.length &&
    ids.every((id) => lines.some((line) => line.id === id && (line.kind === "part" || line.kind === "fee")))
  );
}

/** Takes a line off a job, to be put back; a fee that hangs there stays off. @throws {Refusal} when the job is finished. */
export function removeLine(state: QuoteSlice, lineId: string): Pick<QuoteSlice, "jobs" | "takenOff"> {
  const job = jobOfLine(state, lineId);
  const at = job.lines.findIndex(({ id }) => id === lineId);
  const line = job.lines[at];
  if (!line) throw refuse("line/not-found");
  const { jobs } = changeJob(state, job.id, (before) => {
    const after = withoutLine(before, lineId);
    if (line.kind !== "fee" || line.feeId === undefined) return after;
    return { ...after, feesLeftOut: [...(before.feesLeftOut ?? []), line.feeId] };
  });
  return { jobs, takenOff: remembered(state, { of: "line", at, jobId: job.id, line }) };
}

function withoutLine(job: Job, lineId: string): Job {
  const lines = job.lines.filter(({ id }) => id !== lineId);
  if (!job.setPrice) return { ...job, lines };
  const included = job.setPrice.included.filter((each) => each.lineId !== lineId);
  return { ...job, lines, setPrice: { ...job.setPrice, included } };
}

/** Takes a job off the quote, to be put back. @throws {Refusal} when it is finished. */
export function removeJob(state: QuoteSlice, jobId: string): Pick<QuoteSlice, "jobs" | "takenOff"> {
  const at = state.jobs.findIndex(({ id }) => id === jobId);
  const job = state.jobs[at];
  if (!job) throw refuse("job/not-found");
  if (job.finishedAt) throw refuse("job/finished");
  const left = state.jobs.filter(({ id }) => id !== jobId);
  return { ...settled(state, left), takenOff: remembered(state, { of: "job", at, job }) };
}

function remembered({ takenOff = [] }: QuoteSlice, taken: TakenOff): TakenOff[] {
  return [...takenOff, taken].slice(-MOST_TAKEN_OFF);
}

/** Puts back what was taken off, where it stood; a job asks anew. @throws {Refusal} when it is not kept any more. */
export function putBack(
  state: QuoteSlice,
  { id }: z.output<typeof putBackSchema>,
): Pick<QuoteSlice, "jobs" | "takenOff"> {
  const taken = [...(state.takenOff ?? [])]
    .reverse()
    .find((each) => (each.of === "job" ? each.job : each.line).id === id);
  if (!taken) throw refuse("line/not-kept");
  const takenOff = (state.takenOff ?? []).filter((each) => each !== taken);
  if (taken.of === "job") {
    if (state.jobs.some((job) => job.id === id)) throw refuse("job/exists");
    const job: Job = { ...taken.job, answer: null };
    return { ...settled(state, [...state.jobs.slice(0, taken.at), job, ...state.jobs.slice(taken.at)]), takenOff };
  }
  requireNewLine(state, id);
  const { line, at, jobId } = taken;
  const { jobs } = changeJob(state, jobId, (job) => {
    requireRoom(job);
    const lines = [...job.lines.slice(0, at), line, ...job.lines.slice(at)];
    if (line.kind !== "fee" || line.feeId === undefined) return { ...job, lines };
    return { ...job, lines, feesLeftOut: (job.feesLeftOut ?? []).filter((each) => each !== line.feeId) };
  });
  return { jobs, takenOff };
}

type Discounts = Pick<QuoteSlice, "discounts">;

/** Takes something off the whole quote. @throws {Refusal} when it is there, or there are too many. */
export function addDiscount(
  state: QuoteSlice,
  { discountId: id, title, on, off }: z.output<typeof addDiscountSchema>,
): Discounts {
  return withDiscount(state, { id, title, on, off, offerId: null });
}

/** Grants an offer of the owner's. @throws {Refusal} when nobody knows its code, it has ended, or it is granted already. */
export function grantOffer(
  state: QuoteSlice,
  { discountId: id, offer, day }: z.output<typeof useOfferSchema>,
  { settings, at }: PricingContext,
): Discounts {
  const { offers = [] } = settings.rules;
  const plain = (code: string): string => code.toLowerCase().replaceAll(/\s/g, "");
  const found = offers.find((each) =>
    "id" in offer ? each.id === offer.id : each.code !== null && plain(each.code) === plain(offer.code),
  );
  if (!found) throw refuse("offer/unknown");
  if (!isDayThen(day, at) || (found.until !== null && day > found.until)) throw refuse("offer/ended");
  if (state.discounts?.some(({ offerId }) => offerId === found.id)) throw refuse("offer/granted");
  return withDiscount(state, { id, title: found.title, on: found.on, off: found.off, offerId: found.id });
}

/** Whether a calendar day can be the day of a moment: elsewhere it is at most one from the day it is here. */
function isDayThen(day: string, at: string): boolean {
  return Math.abs(Date.parse(day) - Date.parse(at)) <= MOST_APART_MS;
}

function withDiscount({ discounts = [] }: QuoteSlice, added: QuoteDiscount): Discounts {
  if (discounts.some(({ id }) => id === added.id)) throw refuse("discount/exists");
  if (discounts.length >= MOST_DISCOUNTS) throw refuse("discount/too-many");
  return { discounts: [...discounts, added] };
}

/** Takes a discount of the quote back. @throws {Refusal} when it is gone. */
export function removeDiscount({ discounts = [] }: QuoteSlice, discountId: string): Discounts {
  if (!discounts.some(({ id }) => id === discountId)) throw refuse("discount/not-found");
  return { discounts: discounts.filter(({ id }) => id !== discountId) };
}

/** Says until when the quote is good. */
export function setValidUntil(
  _state: QuoteSlice,
  { day }: z.output<typeof setValidUntilSchema>,
): Pick<QuoteSlice, "validUntil"> {
  return { validUntil: day };
}

/** What a quote knows of its payments: whether money came. Payments stand on quoting, so it is told no more of them. */
export interface PaidState {
  payments: readonly { status: string }[];
}

/**
 * Puts the quote under the taxes of a place and a day. What was sold stays under those of the day of its sale; what the
 * customer agreed to is before taxes, so it holds.
 */
export function followTaxes(
  state: QuoteSlice & PaidState,
  { placeId, day }: z.output<typeof followTaxesSchema>,
  { settings, at }: PricingContext,
): Partial<Pick<QuoteSlice, "rules" | "taxPlaceId" | "taxesBefore">> {
  if (isSold(state)) return {};
  // The law of another day is not the law of this one.
  if (!isDayThen(day, at)) throw refuse("taxes/other-day");
  const taxes = lawfulTaxes(settings.rules, placeId, day);
  const before = state.rules.pricing.taxes ?? [];
  const isSamePlace = (state.taxPlaceId ?? null) === placeId;
  if (dequal(taxes, before)) return isSamePlace ? {} : { taxPlaceId: placeId };
  return {
    rules: { ...state.rules, pricing: { ...state.rules.pricing, taxes } },
    taxPlaceId: placeId,
    ...(isSamePlace && state.jobs.length > 0 ? { taxesBefore: { day, taxes: before } } : {}),
  };
}

/** Whether work was finished or paid for: the taxes of that day stay. */
export function isSold({ jobs, payments }: Pick<QuoteSlice, "jobs"> & PaidState): boolean {
  return jobs.some(({ finishedAt }) => finishedAt !== null) || payments.some(({ status }) => status === "taken");
}

/** Prices a quote nobody said yes to by the rules of today. @throws {Refusal} where somebody did. */
export function takeTodaysRules(state: QuoteSlice, { settings }: PricingContext): Pick<QuoteSlice, "rules" | "jobs"> {
  if (state.jobs.some(({ answer, finishedAt }) => answer?.value === "yes" || finishedAt !== null))
    throw refuse("quote/agreed");
  const { rules, jobs } = underRules(state, settings.rules);
  return { rules, jobs };
}
