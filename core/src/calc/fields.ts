import { z } from "zod";
import { tenThousandths } from "../exact/decimal";
import type { CalcErrorCode } from "./error";

/** Lets a refinement carry one of our codes through Zod. */
export function asCode(code: CalcErrorCode, message: string): { message: string; params: { code: CalcErrorCode } } {
  return { message, params: { code } };
}

/** Whole minor units from 0 up. */
export const centsField = z
  .number()
  .refine((value) => value >= 0, { ...asCode("negative", "must not be negative"), abort: true })
  .refine((value) => Number.isInteger(value), {
    ...asCode("not-whole", "must be a whole number of cents"),
    abort: true,
  })
  .refine((value) => Number.isSafeInteger(value), asCode("out-of-range", "is too large"));

/** Hours, quantities, percents: from 0 up, at most 4 decimals. */
export const decimalField = z
  .number()
  .refine((value) => value >= 0, { ...asCode("negative", "must not be negative"), abort: true })
  .refine((value) => value <= 1e12, { ...asCode("out-of-range", "is too large"), abort: true })
  .refine((value) => tenThousandths(value) !== null, asCode("too-many-decimals", "must have at most 4 decimals"));

/** A share of at most all of something. */
export const percentOfField = decimalField.refine(
  (value) => value <= 100,
  asCode("out-of-range", "must be from 0 to 100"),
);

export const nameField = z.string();
