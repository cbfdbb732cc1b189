import { z } from "zod";
import { CalcError } from "../calc/error";
import { parseInput } from "../calc/parse";

const plateInput = z.strictObject({ plate: z.string(), region: z.string() });

export interface Plate {
  plate: string;
  region: string;
  /** What plates are compared by: O and 0, I and 1 are the same on the road. */
  key: string;
}

/**
 * A plate as it is shown, and the key it is compared by.
 *
 * @throws {CalcError} `unreadable` when nothing is left of the plate or the region.
 * @see calculations.md, plate
 * @example
 * normalizePlate({ plate: "abo-1i2", region: "or" }) //=> { plate: "ABO1I2", region: "OR", key: "AB0112" }
 */
export function normalizePlate(raw: unknown): Plate {
  const input = parseInput(plateInput, raw);
  const plate = input.plate.replace(/[\s\p{Pd}\u2212\u200B-\u200D\uFEFF.]/gu, "").toUpperCase();
  if (plate === "") throw new CalcError("unreadable", "nothing is left of the plate", "plate");
  const region = input.region.trim().toUpperCase();
  if (region === "") throw new CalcError("unreadable", "the region is empty", "region");
  return { plate, region, key: plate.replace(/O/g, "0").replace(/I/g, "1") };
}
