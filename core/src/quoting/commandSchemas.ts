import { z } from "zod";
import { cents, decimal, pointId, uuid, words } from "../commands/fields";

/** Puts a job of the library on the quote; `lineIds` has one id for each of its lines. */
export const addJobSchema = z.strictObject({
  type: z.literal("addJob"),
  jobId: uuid,
  libraryJobId: words(60).min(1),
  lineIds: z.array(uuid).max(60),
  concernId: uuid.nullable(),
  pointId: pointId.nullable(),
});
/** A job the library does not have; its lines follow one by one. */
export const addOwnJobSchema = z.strictObject({
  type: z.literal("addOwnJob"),
  jobId: uuid,
  title: words(120).min(1),
  concernId: uuid.nullable(),
});
export const removeJobSchema = z.strictObject({ type: z.literal("removeJob"), jobId: uuid });

const base = { id: uuid, description: words(200).min(1) };
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
  }),
  z.object({ ...base, kind: z.literal("fee"), quantity: decimal, priceCents: cents }),
  z.object({ ...base, kind: z.literal("core"), quantity: decimal, priceCents: cents }),
]);
export const addLineSchema = z.strictObject({ type: z.literal("addLine"), jobId: uuid, line: newLine });
export const removeLineSchema = z.strictObject({ type: z.literal("removeLine"), lineId: uuid });
/** Changes figures of a line; null leaves a figure as it is. */
export const changeLineSchema = z.strictObject({
  type: z.literal("changeLine"),
  lineId: uuid,
  hours: decimal.nullable(),
  quantity: decimal.nullable(),
  priceCents: cents.nullable(),
});
