import { z } from "zod";
import { cents, decimal, uuid, words } from "../commands/fields";
import { DISCOUNTED, discount } from "./discount";
import { PART_CONDITIONS, PART_KINDS } from "../stock/partKind";

const MOST_NOTE = 500;
const name = words(60).min(1);

/** What of a line can be changed where it stands; what is left out stays. */
export const lineChange = z
  .strictObject({
    description: words(200).min(1),
    /** Empty: none. */
    noteForCustomer: words(MOST_NOTE),
    noteForUs: words(MOST_NOTE),
    /** Null: nothing is taken off. */
    off: discount.nullable(),
    condition: z.enum(PART_CONDITIONS),
    partKind: z.enum(PART_KINDS),
    costCents: cents,
    /** On top of work bought in. */
    percent: decimal,
    /** The table its price is made by; its own price is given up. */
    markup: name,
    /** Null: those on its kind. */
    taxIds: z.array(name).max(20).nullable(),
  })
  .partial()
  .refine((change) => Object.keys(change).length > 0, "changes nothing");
export const editLineSchema = z.strictObject({ type: z.literal("editLine"), lineId: uuid, change: lineChange });

/** Puts a line before another of a job, its own or another; null: at the end. */
export const moveLineSchema = z.strictObject({
  type: z.literal("moveLine"),
  lineId: uuid,
  jobId: uuid,
  beforeLineId: uuid.nullable(),
});
/** Puts a job before another; null: at the end. */
export const moveJobSchema = z.strictObject({
  type: z.literal("moveJob"),
  jobId: uuid,
  beforeJobId: uuid.nullable(),
});
export const copyLineSchema = z.strictObject({ type: z.literal("copyLine"), lineId: uuid, newLineId: uuid });
/** Makes two lines of one: so much goes to the new one. */
export const splitLineSchema = z.strictObject({
  type: z.literal("splitLine"),
  lineId: uuid,
  newLineId: uuid,
  amount: decimal,
});

/** What of a job can be changed; what is left out stays. */
const jobChange = z
  .strictObject({
    title: words(120).min(1),
    concernId: uuid.nullable(),
    off: discount.nullable(),
    setPrice: z
      .strictObject({
        priceCents: cents,
        included: z.array(z.strictObject({ lineId: uuid, quantity: decimal, extraEachCents: cents })).max(100),
      })
      .nullable(),
    /** Null: the customer. */
    payer: z.strictObject({ id: uuid, name: words(120).min(1), isExempt: z.boolean() }).nullable(),
  })
  .partial()
  .refine((change) => Object.keys(change).length > 0, "changes nothing");
export const editJobSchema = z.strictObject({ type: z.literal("editJob"), jobId: uuid, change: jobChange });

/** Takes something off the whole quote. */
export const addDiscountSchema = z.strictObject({
  type: z.literal("addDiscount"),
  discountId: uuid,
  title: words(60).min(1),
  on: z.enum(DISCOUNTED),
  off: discount,
});
/** A discount the owner grants, by its id or by a code the customer names. */
export const useOfferSchema = z.strictObject({
  type: z.literal("useOffer"),
  discountId: uuid,
  offer: z.union([z.strictObject({ id: name }), z.strictObject({ code: words(40).min(1) })]),
  /** The calendar day there where it is used. */
  day: z.iso.date(),
});
export const removeDiscountSchema = z.strictObject({ type: z.literal("removeDiscount"), discountId: uuid });
/** The last day the quote is good for; null: no end. */
export const setValidUntilSchema = z.strictObject({ type: z.literal("setValidUntil"), day: z.iso.date().nullable() });
/** Puts the quote under the taxes that hold on a day at a place of the owner's; null: the usual ones. */
export const followTaxesSchema = z.strictObject({
  type: z.literal("followTaxes"),
  placeId: name.nullable(),
  day: z.iso.date(),
});
/** Prices the quote by the rules of today. */
export const useTodaysRulesSchema = z.strictObject({ type: z.literal("useTodaysRules") });
/** Puts back a line or a job that was taken off. */
export const putBackSchema = z.strictObject({ type: z.literal("putBack"), id: uuid });
/** Puts a part of a van on a job. */
export const addStockPartSchema = z.strictObject({
  type: z.literal("addStockPart"),
  jobId: uuid,
  lineId: uuid,
  itemId: name,
  quantity: decimal,
});
/** Says that parts are the van's, at what they cost there. */
export const takeFromVanSchema = z.strictObject({
  type: z.literal("takeFromVan"),
  parts: z
    .array(z.strictObject({ lineId: uuid, itemId: name }))
    .min(1)
    .max(100),
});
/** What the server records after a supplier was asked. */
export const takeOfferSchema = z.strictObject({
  type: z.literal("takeOffer"),
  lineId: uuid,
  supplierId: name,
  costCents: cents,
  at: z.iso.datetime(),
});
