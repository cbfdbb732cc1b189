import { z } from "zod";
import { percent, discount, DISCOUNTED } from "./discount";
import { PART_KINDS } from "../stock/partKind";
import { taxInput } from "./price/input";

const MOST_CENTS = 100_000_000;
const cents = z.number().int().nonnegative().max(MOST_CENTS);
const id = z.string().min(1).max(60);
const title = z.string().trim().min(1, "a name is needed").max(60);
const day = z.iso.date();
const MOST_MILES = 10_000;

/** What a markup table is called, and when it stands by itself; its bands are kept with the pricing, by its id. */
export const markupTable = z.object({
  id,
  title,
  /** Kinds of parts it stands for; empty: all. */
  kinds: z.array(z.enum(PART_KINDS)).max(PART_KINDS.length),
  /** Suppliers whose parts it stands for; empty: all. */
  supplierIds: z.array(id).max(50),
});

/** What a fee hangs on; it comes and goes with that. */
export const feeOn = z.discriminatedUnion("what", [
  /** Each part of these kinds, by its quantity or once a job. */
  z.object({ what: z.literal("part"), kinds: z.array(z.enum(PART_KINDS)).min(1), each: z.boolean() }),
  /** Once for a job with labor. */
  z.object({ what: z.literal("labor") }),
  /** Once for a job that was put there for a time after the hours of work. */
  z.object({ what: z.literal("afterHours") }),
]);

/** A fee of the owner's, and what it hangs on. */
export const feeRule = z.object({
  id,
  title,
  priceCents: cents,
  on: feeOn,
  /** Set by law: the taxes on fees do not take it. */
  isUntaxed: z.boolean(),
});
export type FeeRule = z.infer<typeof feeRule>;

/** A discount of the owner's: by a code, or by how the customer found us; with neither it is only chosen by hand. */
export const discountOffer = z.object({
  id,
  title,
  on: z.enum(DISCOUNTED),
  off: discount,
  /** Compared without case and blanks; null: none. */
  code: z.string().trim().min(1).max(40).nullable(),
  foundUsBy: z.string().max(120).nullable(),
  /** The last day it can be used; null: it does not end. */
  until: day.nullable(),
});
export type DiscountOffer = z.infer<typeof discountOffer>;

/** A tax of a place; of several of one name the newest stands that holds on the day. */
export const placeTax = taxInput.extend({
  /** The first day it holds; null: it always did. */
  from: day.nullable(),
});

/** Where certain taxes hold: places by the beginnings of their postcodes or by their towns; the first that fits stands. */
export const taxPlace = z.object({
  id,
  title,
  postcodes: z.array(z.string().trim().min(1).max(12)).max(200),
  towns: z.array(z.string().trim().min(1).max(80)).max(200),
  taxes: z.array(placeTax).max(20),
});
export type TaxPlace = z.infer<typeof taxPlace>;

/** Up to so many miles a call-out costs so much; null: any distance. */
export const callOutBand = z.object({ upToMiles: z.number().int().positive().max(MOST_MILES).nullable(), cents });
export type CallOutBand = z.infer<typeof callOutBand>;

export { percent as marginPercent };
