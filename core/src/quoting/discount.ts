import { z } from "zod";
import { tenThousandths } from "../exact/decimal";

const MOST_PERCENT = 100;
const cents = z.number().int().nonnegative();

/** A share with at most four decimals, computed exactly. */
export const percent = z
  .number()
  .min(0)
  .max(MOST_PERCENT)
  .refine((value) => tenThousandths(value) !== null, "has more than 4 decimals");

/** What is taken off a price: a share, or an amount of at most the price. */
export const discount = z.union([z.strictObject({ percent }), z.strictObject({ amountCents: cents })]);
export type Discount = z.infer<typeof discount>;

/** What a discount of the whole quote is taken off. */
export const DISCOUNTED = ["labor", "part", "all"] as const;

/** A discount of the quote, and where it comes from. */
export const quoteDiscount = z.object({
  id: z.string(),
  title: z.string(),
  on: z.enum(DISCOUNTED),
  off: discount,
  /** The owner's offer it is; null: a person typed it. */
  offerId: z.string().nullable(),
});
export type QuoteDiscount = z.infer<typeof quoteDiscount>;

/** A discount as calculations.md takes it. */
export function toDiscountInput(off: Discount): { percent: number } | { amount: number } {
  return "percent" in off ? { percent: off.percent } : { amount: off.amountCents };
}
