import { z } from "zod";
import { tenThousandths } from "../exact/decimal";
import { text } from "../text/text";

/** An id made by a device. */
export const uuid = z.uuid();
/** An amount of money in a command, in cents; a million dollars at most. */
export const cents = z.number().int().min(0).max(100_000_000);
/** A line of text in a command. */
export const words = text;
/** A moment a person names, in the years a business may live in. */
export const instant = z.iso
  .datetime()
  .refine((value) => value >= "2000" && value < "2200", "is not in this century or the next");
/** Hours, quantities, measurements: at most four decimals, computed exactly. */
export const decimal = z
  .number()
  .min(0)
  .max(100_000)
  .refine((value) => tenThousandths(value) !== null, "has more than 4 decimals");
/** The id of an inspection point of the business's list. */
export const pointId = words(60).min(1);
