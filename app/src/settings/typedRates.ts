import {
  laborSettingsOf,
  readMoney,
  readTimeOfDay,
  showTimeOfDay,
  type BusinessSettings,
  type LaborRate,
  type LaborSettings,
} from "@mechanon/core";
import { z } from "zod";
import { begunFrom } from "./begunFrom";
import { wholeNumber } from "./wholeNumber";

const WHEN = z.custom<LaborRate["when"]>((value) => typeof value === "object" && value !== null);
const MOST_CREDIT_PERCENT = 100;
const MOST_AGE_YEARS = 100;

/** What is typed about labor. */
export const typedRates = z.object({
  base: begunFrom,
  general: z.string(),
  rates: z.array(z.object({ id: z.string(), title: z.string(), price: z.string(), years: z.string(), when: WHEN })),
  weekdays: z.array(z.number()),
  from: z.string(),
  until: z.string(),
  credit: z.string(),
});
export type TypedRates = z.input<typeof typedRates>;

const money = z
  .string()
  .transform((typed, context) => readMoney(typed) ?? missing(context, "an amount looks like 138.00"));
const time = z
  .string()
  .transform((typed, context) => readTimeOfDay(typed) ?? missing(context, "a time like 7:30 or 19:00"));
const CREDIT = `a whole number from 0 to ${MOST_CREDIT_PERCENT}`;
const YEARS = `whole years up to ${MOST_AGE_YEARS}, or empty`;

function missing(context: z.RefinementCtx, message: string): never {
  context.addIssue({ code: "custom", message });
  return z.NEVER;
}

/** What was typed about labor, read. */
export const readRates = typedRates
  .extend({
    general: money,
    rates: z.array(
      typedRates.shape.rates.element.extend({
        title: z.string().trim().min(1, "a name is needed").max(60, "up to 60 letters"),
        price: money,
        years: z.string().transform(wholeNumber).pipe(z.int(YEARS).max(MOST_AGE_YEARS, YEARS).nullable()),
      }),
    ),
    from: time,
    until: time,
    credit: z.string().transform(wholeNumber).pipe(z.int(CREDIT).max(MOST_CREDIT_PERCENT, CREDIT)),
  })
  .refine(({ from, until }) => from < until, { path: ["until"], message: "the end comes before the beginning" });

const FIRST_HOURS = { weekdays: [], fromMinute: 8 * 60, untilMinute: 18 * 60 };

/** What stands about labor, as it would be typed. */
export function typedRatesOf(base: BusinessSettings): TypedRates {
  const { laborRateCents, rates, workHours, diagnosisCreditPercent } = laborSettingsOf(base.rules);
  const { weekdays, fromMinute, untilMinute } = workHours ?? FIRST_HOURS;
  return {
    base,
    general: (laborRateCents / 100).toFixed(2),
    rates: rates.map(({ id, title, cents, when }) => ({
      id,
      title,
      price: (cents / 100).toFixed(2),
      years: when.olderThanYears === null ? "" : String(when.olderThanYears),
      when,
    })),
    weekdays: [...weekdays],
    from: showTimeOfDay(fromMinute),
    until: showTimeOfDay(untilMinute),
    credit: String(diagnosisCreditPercent),
  };
}

/** What was read, as it is stored; without a day of work no hour is after hours. */
export function laborOf({ general, rates, weekdays, from, until, credit }: z.output<typeof readRates>): LaborSettings {
  return {
    laborRateCents: general,
    rates: rates.map(({ id, title, price, years, when }) => ({
      id,
      title,
      cents: price,
      when: { ...when, olderThanYears: years },
    })),
    workHours: weekdays.length === 0 ? null : { weekdays, fromMinute: from, untilMinute: until },
    diagnosisCreditPercent: credit,
  };
}

/** A rate nothing is said of yet. */
export const NEW_RATE: Omit<TypedRates["rates"][number], "id"> = {
  title: "",
  price: "",
  years: "",
  when: {
    isDiagnosis: false,
    vehicleClasses: [],
    powers: [],
    olderThanYears: null,
    isAfterHours: false,
    hasCustomersPart: false,
  },
};
