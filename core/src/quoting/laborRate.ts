import { z } from "zod";
import { POWERS, VEHICLE_CLASSES } from "../vehicles/build";

const MOST_RATE_CENTS = 1_000_000;
const MOST_AGE_YEARS = 100;

/** A rate of the house beside its general one, and when it stands by itself. */
export const laborRate = z.object({
  id: z.string().min(1).max(60),
  title: z.string().trim().min(1, "a name is needed").max(60),
  /** For an hour. */
  cents: z.number().int().nonnegative().max(MOST_RATE_CENTS),
  /** All that is named has to be so; where nothing is, it is only chosen by hand. */
  when: z.object({
    isDiagnosis: z.boolean(),
    vehicleClasses: z.array(z.enum(VEHICLE_CLASSES)).max(VEHICLE_CLASSES.length),
    powers: z.array(z.enum(POWERS)).max(POWERS.length),
    /** Cars older than so many years; null: of any age. */
    olderThanYears: z.number().int().nonnegative().max(MOST_AGE_YEARS).nullable(),
    isAfterHours: z.boolean(),
    hasCustomersPart: z.boolean(),
  }),
});
export type LaborRate = z.infer<typeof laborRate>;

/** The hours that are not after hours: from so many minutes after midnight until so many, on some days of the week. */
export const workHours = z
  .object({
    /** ISO days of the week: 1 is Monday. */
    weekdays: z.array(z.number().int().min(1).max(7)).max(7),
    fromMinute: z.number().int().min(0).max(1440),
    untilMinute: z.number().int().min(0).max(1440),
  })
  .refine(({ fromMinute, untilMinute }) => fromMinute < untilMinute, "the end comes before the beginning");
export type WorkHours = z.infer<typeof workHours>;
