import { z } from "zod";
import { CalcError } from "../calc/error";
import { asCode, decimalField } from "../calc/fields";
import { parseInput } from "../calc/parse";
import { wearOf, type Wear } from "./wear";

const wearInput = z.strictObject({
  limit: decimalField,
  readings: z.array(
    z.strictObject({
      odometer: decimalField,
      date: z
        .string()
        .refine(
          (value) => z.iso.date().safeParse(value).success,
          asCode("unreadable", "must be a day like 2026-01-10"),
        ),
      value: decimalField,
    }),
  ),
});

/**
 * The life of a measured item, from an input of anybody.
 *
 * @param raw - `limit` and `readings`, oldest first.
 * @throws {CalcError} with code and path for anything that does not fit: no reading, or a date or odometer that falls.
 * @see calculations.md, wear
 */
export function calcWear(raw: unknown): Wear {
  const { limit, readings } = parseInput(wearInput, raw);
  if (readings.length === 0) throw new CalcError("not-allowed", "readings must have at least one", "readings");
  readings.forEach((reading, index) => {
    const before = readings[index - 1];
    if (!before) return;
    for (const key of ["odometer", "date"] as const)
      if (reading[key] < before[key])
        throw new CalcError("not-allowed", `${key} is below the one before it`, `readings[${index}].${key}`);
  });
  return wearOf(limit, readings);
}
