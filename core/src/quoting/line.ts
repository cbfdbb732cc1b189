import { z } from "zod";

const base = {
  id: z.string(),
  description: z.string(),
  /** Its hours or quantity were typed, and are not the library's. */
  byHand: z.boolean().optional(),
};
const cents = z.number().int().nonnegative();
const amount = z.number().nonnegative();

/**
 * One line of a job. Costs and wages are null for a person without the right to see them; a part then carries the
 * price it sells at.
 */
export const quoteLine = z.discriminatedUnion("kind", [
  z.object({
    ...base,
    kind: z.literal("labor"),
    hours: amount,
    rateCents: cents,
    wageCents: cents.nullable(),
    paidHours: amount.nullable(),
  }),
  z.object({
    ...base,
    kind: z.literal("part"),
    quantity: amount,
    costCents: cents.nullable(),
    markup: z.string().nullable(),
    priceCents: cents.nullable(),
    partNumber: z.string().nullable(),
    brand: z.string().nullable(),
  }),
  z.object({ ...base, kind: z.literal("fee"), quantity: amount, priceCents: cents }),
  z.object({ ...base, kind: z.literal("core"), quantity: amount, priceCents: cents }),
]);
export type QuoteLine = z.infer<typeof quoteLine>;
export type PartLine = Extract<QuoteLine, { kind: "part" }>;

/** A job kept ready in the library; its lines get ids of their own when it is put on a quote. */
export const libraryJob = z.object({
  id: z.string(),
  title: z.string(),
  area: z.string(),
  /** Inspection points a bad grade of which offers this job. */
  curesPoints: z.array(z.string()),
  /** Concern phrases this job answers. */
  answersConcerns: z.array(z.string()),
  lines: z.array(quoteLine),
});
export type LibraryJob = z.infer<typeof libraryJob>;
