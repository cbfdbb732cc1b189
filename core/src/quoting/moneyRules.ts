import { z } from "zod";
import { laborRate, workHours } from "./laborRate";
import { personPay } from "./personPay";
import { rulesInput } from "./price/input";

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
});
export type MoneyRules = z.infer<typeof moneyRules>;
