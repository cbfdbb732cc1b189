import { z } from "zod";
import { CalcError } from "../calc/error";
import { asCode, nameField } from "../calc/fields";
import { parseInput } from "../calc/parse";
import { uniqueIds } from "../calc/uniqueIds";
import { findSlots, type SlotWindow } from "./slots";

/** Whole minutes from 0 up. */
const minutesField = z
  .number()
  .refine((value) => value >= 0, { ...asCode("negative", "must not be negative"), abort: true })
  .refine((value) => Number.isInteger(value), {
    ...asCode("not-whole", "must be a whole number of minutes"),
    abort: true,
  })
  .refine((value) => value <= 1e9, asCode("out-of-range", "is too large"));
const limitField = minutesField.nullable().default(null);

const slotsInput = z.strictObject({
  visit: z.strictObject({ minutes: minutesField, from: limitField, to: limitField }),
  step: minutesField.refine((value) => value > 0, asCode("out-of-range", "must be above 0")),
  days: z.array(
    z.strictObject({
      id: nameField,
      leaveAt: minutesField,
      backBy: limitField,
      stops: z.array(z.strictObject({ id: nameField, from: limitField, to: limitField, service: minutesField })),
      travel: z.array(z.array(minutesField)),
    }),
  ),
});

/**
 * Where a new visit fits into days that stand.
 *
 * @param raw - `visit`, `step` and `days`, all in whole minutes from midnight.
 * @throws {CalcError} with code and path for anything that does not fit.
 * @see calculations.md, slots
 */
export function calcSlots(raw: unknown): { windows: SlotWindow[] } {
  const { visit, step, days } = parseInput(slotsInput, raw);
  uniqueIds(days, "days");
  days.forEach(({ stops, travel }, index) => {
    uniqueIds(stops, `days[${index}].stops`);
    const nodes = stops.length + 3;
    if (travel.length !== nodes || travel.some((row) => row.length !== nodes))
      throw new CalcError("not-allowed", `days[${index}].travel must be ${nodes} by ${nodes}`, `days[${index}].travel`);
  });
  return { windows: findSlots(visit, step, days) };
}
