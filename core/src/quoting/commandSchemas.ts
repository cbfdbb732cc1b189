import { z } from "zod";
import { carFacts } from "../laborGuide/carFacts";
import { POSITIONS } from "../laborGuide/position";
import { PART_CONDITIONS, PART_KINDS } from "../stock/partKind";
import { partFromKnown } from "./quoteLine";
import { cents, decimal, pointId, uuid, words } from "../commands/fields";

/** What a job is fitted to a car with. */
const jobFit = z.strictObject({
  facts: carFacts,
  positions: z.array(z.enum(POSITIONS)).max(POSITIONS.length),
  variantId: words(60).min(1).nullable(),
  /** It is for a time after the hours of work; left out by an older app. */
  isAfterHours: z.boolean().optional(),
});
/** Puts a job of the library on the quote, fitted to the car; `lineIds` has one id for each of its lines. */
export const addJobSchema = z.strictObject({
  type: z.literal("addJob"),
  jobId: uuid,
  libraryJobId: words(60).min(1),
  lineIds: z.array(uuid).max(60),
  concernId: uuid.nullable(),
  pointIds: z.array(pointId).max(150),
  /** Null, and in what was queued by an older app: as the library has it. */
  fit: jobFit.nullable().optional(),
});
/** Puts an operation of the labor guide on the quote: as a job of its own, or as a line of one that is there. */
export const addOperationSchema = z.strictObject({
  type: z.literal("addOperation"),
  jobId: uuid,
  lineId: uuid,
  operationId: words(120).min(1),
  positions: z.array(z.enum(POSITIONS)).max(POSITIONS.length),
  facts: carFacts,
  isAfterHours: z.boolean().optional(),
  concernId: uuid.nullable(),
});
/** Fits a job of the quote anew: another quality, other positions, or what is known of the car by now. */
export const refitJobSchema = z.strictObject({ type: z.literal("refitJob"), jobId: uuid, fit: jobFit });
/** A job the library does not have; its lines follow one by one. */
export const addOwnJobSchema = z.strictObject({
  type: z.literal("addOwnJob"),
  jobId: uuid,
  title: words(120).min(1),
  concernId: uuid.nullable(),
  /** What decides its rate; left out by an older app. */
  on: z.strictObject({ facts: carFacts, isAfterHours: z.boolean() }).optional(),
});
/** A job that is there cures these findings, too. */
export const tieFindingsSchema = z.strictObject({
  type: z.literal("tieFindings"),
  jobId: uuid,
  pointIds: z.array(pointId).min(1).max(150),
});
export const removeJobSchema = z.strictObject({ type: z.literal("removeJob"), jobId: uuid });

const base = {
  id: uuid,
  description: words(200).min(1),
  noteForCustomer: words(500).optional(),
  noteForUs: words(500).optional(),
};
/** A line as a person types it, or takes it over from another quote. */
export const newLine = z.discriminatedUnion("kind", [
  z.object({
    ...base,
    kind: z.literal("labor"),
    hours: decimal,
    rateCents: cents,
    wageCents: cents.nullable(),
    paidHours: decimal.nullable(),
  }),
  z.object({
    ...base,
    kind: z.literal("part"),
    quantity: decimal,
    costCents: cents.nullable(),
    markup: words(60).nullable(),
    priceCents: cents.nullable(),
    partNumber: words(60).nullable(),
    brand: words(60).nullable(),
    partKind: z.enum(PART_KINDS).optional(),
    condition: z.enum(PART_CONDITIONS).optional(),
    /** The van and a supplier are said by commands of their own, which look there. */
    from: partFromKnown.optional(),
  }),
  z.object({
    ...base,
    kind: z.literal("sublet"),
    costCents: cents,
    percent: decimal,
    priceCents: z.null(),
  }),
  z.object({ ...base, kind: z.literal("fee"), quantity: decimal, priceCents: cents }),
  z.object({ ...base, kind: z.literal("core"), quantity: decimal, priceCents: cents }),
]);
export type NewLine = z.input<typeof newLine>;
export const addLineSchema = z.strictObject({
  type: z.literal("addLine"),
  jobId: uuid,
  line: newLine,
  /** Left out: at the end. */
  beforeLineId: uuid.nullable().optional(),
});
export const removeLineSchema = z.strictObject({ type: z.literal("removeLine"), lineId: uuid });
/** Changes figures of a line; null leaves a figure as it is. */
export const changeLineSchema = z.strictObject({
  type: z.literal("changeLine"),
  lineId: uuid,
  hours: decimal.nullable(),
  quantity: decimal.nullable(),
  priceCents: cents.nullable(),
});
/** Puts labor at a rate of the house; null: the general one. */
export const chooseRateSchema = z.strictObject({
  type: z.literal("chooseRate"),
  lineId: uuid,
  rateId: words(60).min(1).nullable(),
});
/** Puts the work a labor line includes on the customer's paper, or takes it off. */
export const showIncludedSchema = z.strictObject({
  type: z.literal("showIncluded"),
  lineId: uuid,
  isShown: z.boolean(),
});
const MOST_PEOPLE = 10;
/** Says who does a line, each with the hours they are credited with; null: an equal share of what is billed, absent: as it is. */
export const assignLaborSchema = z.strictObject({
  type: z.literal("assignLabor"),
  lineId: uuid,
  assigned: z
    .array(z.strictObject({ personId: words(60).min(1), hours: decimal.nullable().optional() }))
    .max(MOST_PEOPLE)
    .refine((people) => new Set(people.map(({ personId }) => personId)).size === people.length, "names a person twice"),
});
/** Puts a part of the library on a job, fitted to the car. */
export const addPartSchema = z.strictObject({
  type: z.literal("addPart"),
  jobId: uuid,
  lineId: uuid,
  libraryJobId: words(60).min(1),
  libraryLineId: words(60).min(1),
  fit: jobFit,
});
/** Says which part it is to be. */
export const usePartSchema = z.strictObject({
  type: z.literal("usePart"),
  lineId: uuid,
  description: words(200).min(1),
  partNumber: words(60).nullable(),
  brand: words(60).nullable(),
});
/** Says which diagnosis led to a repair; null: none did. */
export const foundBySchema = z.strictObject({
  type: z.literal("foundBy"),
  jobId: uuid,
  diagnosisId: uuid.nullable(),
});
/** Says that the customer brings a part, or that they do not after all. */
export const customersPartSchema = z.strictObject({
  type: z.literal("customersPart"),
  lineId: uuid,
  isCustomers: z.boolean(),
});
