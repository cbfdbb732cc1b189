import { z } from "zod";
import { discount } from "./discount";
import { PART_CONDITIONS, PART_KINDS } from "../stock/partKind";

/** Where a figure or word of a line comes from. */
export const LINE_SOURCES = ["guide", "car", "specSheet", "mechanic", "library"] as const;
const lineSource = z.object({
  of: z.enum(["hours", "quantity", "grade"]),
  from: z.enum(LINE_SOURCES),
});
export type LineSource = z.infer<typeof lineSource>;

const base = {
  id: z.string(),
  description: z.string(),
  /** Its hours or quantity were typed, and are not the library's. */
  byHand: z.boolean().optional(),
  /** Its price or rate was typed. */
  priceByHand: z.boolean().optional(),
  /** Where what was fitted to the car comes from. */
  sources: z.array(lineSource).optional(),
  /** Said with it on the customer's paper. */
  noteForCustomer: z.string().optional(),
  /** Said to us alone. */
  noteForUs: z.string().optional(),
  /** Ids of the taxes on it; absent: those on its kind. */
  taxIds: z.array(z.string()).optional(),
};
/** What is taken off it; a core has none. */
const discounted = { ...base, off: discount.optional() };
/** A step of the guide done for a line; one that another line has, too, is paid there or here, once. */
const lineStep = z.object({ key: z.string(), title: z.string(), hours: z.number().nonnegative() });
/** The rate of the house a line is at, and why: it stands by itself, or was chosen. Another version may know of other reasons. */
const lineRate = z.object({
  /** Null: the general one. */
  id: z.string().nullable(),
  because: z.array(z.string()),
});
export type LineRate = z.infer<typeof lineRate>;
const fromBefore = z.object({ of: z.literal("before"), day: z.string().nullable() });
const fromBarcode = z.object({ of: z.literal("barcode"), code: z.string() });
/** Where a part comes from, as whoever types it can say. */
export const partFromKnown = z.discriminatedUnion("of", [fromBefore, fromBarcode]);
/** Where a part comes from: the van, an offer of a supplier, the part of last time, or its barcode. */
const partFrom = z.discriminatedUnion("of", [
  z.object({ of: z.literal("van"), itemId: z.string() }),
  z.object({ of: z.literal("offer"), supplierId: z.string(), at: z.iso.datetime() }),
  fromBefore,
  fromBarcode,
]);
const cents = z.number().int().nonnegative();
const amount = z.number().nonnegative();

/**
 * One line of a job. Costs and wages are null for a person without the right to see them; a part then carries the
 * price it sells at.
 */
export const quoteLine = z.discriminatedUnion("kind", [
  z.object({
    ...discounted,
    kind: z.literal("labor"),
    hours: amount,
    rateCents: cents,
    /** Absent: a rate that was typed, or one of before there were several. */
    rate: lineRate.optional(),
    wageCents: cents.nullable(),
    paidHours: amount.nullable(),
    /** Who does it, each with the hours they are credited with; null: an equal share of what is billed. */
    assigned: z.array(z.object({ personId: z.string(), hours: amount.nullable() })).optional(),
    /** The guide's operations its hours are for. */
    operations: z.array(z.string()).optional(),
    /** What the guide's hours are made of, as if done by itself. */
    steps: z.array(lineStep).optional(),
    /** What is tightened to which torque, by the key of the spec. */
    torques: z.array(z.object({ key: z.string(), value: z.string(), from: z.enum(LINE_SOURCES) })).optional(),
    /** The customer's paper says what its steps are. */
    showsIncluded: z.boolean().optional(),
    /** The least it may be while not all of the car is known that decides it. */
    hoursFrom: amount.optional(),
  }),
  z.object({
    ...discounted,
    kind: z.literal("part"),
    quantity: amount,
    costCents: cents.nullable(),
    markup: z.string().nullable(),
    priceCents: cents.nullable(),
    partNumber: z.string().nullable(),
    brand: z.string().nullable(),
    /** Which one it is was said by a person, and is not the library's. */
    partByHand: z.boolean().optional(),
    /** The customer brings it: it costs nobody here anything, is not bought, and has no warranty of ours. */
    isCustomers: z.boolean().optional(),
    /** Absent: aftermarket. */
    partKind: z.enum(PART_KINDS).optional(),
    /** Absent: new. */
    condition: z.enum(PART_CONDITIONS).optional(),
    /** Where it is to come from, as far as it is known. */
    from: partFrom.optional(),
  }),
  z.object({
    ...discounted,
    kind: z.literal("fee"),
    quantity: amount,
    priceCents: cents,
    /** The owner's fee it is; it comes and goes with what it hangs on. */
    feeId: z.string().optional(),
  }),
  /** Work bought from another business, at its cost and so much on top. */
  z.object({
    ...discounted,
    kind: z.literal("sublet"),
    costCents: cents.nullable(),
    percent: amount,
    /** What it sells at, for who may not see its cost. */
    priceCents: cents.nullable(),
  }),
  z.object({ ...base, kind: z.literal("core"), quantity: amount, priceCents: cents }),
]);
export type QuoteLine = z.infer<typeof quoteLine>;
export type LaborLine = Extract<QuoteLine, { kind: "labor" }>;
export type PartLine = Extract<QuoteLine, { kind: "part" }>;
