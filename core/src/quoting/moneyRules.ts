import { z } from "zod";
import { percent } from "./discount";
import { laborRate, workHours } from "./laborRate";
import { personPay } from "./personPay";
import { rulesInput } from "./price/input";
import { discountOffer, feeRule, marginPercent, markupTable, taxPlace } from "./pricingRules";

/** How far above a yes a price may go without asking anew. */
export const tolerance = z.object({
  percent: percent.optional(),
  amountCents: z.number().int().min(0).max(10_000_000).optional(),
});

/** Money rules of a business: how prices are made and what labor costs. */
export const moneyRules = z.object({
  pricing: rulesInput,
  /** The general rate, for an hour. */
  laborRateCents: z.number().int(),
  /** For an hour; null for who may not see it. */
  wageCents: z.number().int().nullable(),
  /** How each person is paid; absent for who may not see it, and where nothing was set. */
  pay: z.array(personPay).optional(),
  /** Rates for certain work or cars: of those that fit the first stands. Absent in what was stored before there were any. */
  rates: z.array(laborRate).optional(),
  /** Absent: no hour is after hours. */
  workHours: workHours.optional(),
  /** So much of a diagnosis comes off the repair it led to; absent: nothing. */
  diagnosisCreditPercent: z.number().int().min(0).max(100).optional(),
  /** What the markup tables are for; absent: each is chosen by hand. Of those that fit the first stands. */
  markupTables: z.array(markupTable).optional(),
  /** Fees that hang on parts and labor; absent: none. */
  fees: z.array(feeRule).optional(),
  /** Discounts the owner grants; absent: none. */
  offers: z.array(discountOffer).optional(),
  /** Where other taxes hold than the usual ones; absent: nowhere. */
  taxPlaces: z.array(taxPlace).optional(),
  /** What is to be left of a sale; absent: nothing was set, or it is not for who looks. */
  targetMarginPercent: marginPercent.optional(),
  /** A yes holds up to so much above the price it was given for, the lower where both are said; absent: not a cent. */
  tolerance: tolerance.optional(),
  /** So many days a quote is valid; absent: no end. */
  quoteDays: z.number().int().min(1).max(3650).optional(),
});
export type MoneyRules = z.infer<typeof moneyRules>;
