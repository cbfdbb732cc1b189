import { z } from "zod";
import { planLoan } from "../payments/loan";
import { overlapLabor } from "../quoting/labor";
import { priceQuote } from "../quoting/price/priceQuote";
import { calcSlots } from "../schedule/slotsCalc";
import { normalizePlate } from "../vehicles/plate";
import { readTireSize } from "../vehicles/tire/tireSize";
import { calcWear } from "../wear/wearCalc";
import { decodeVin, type VinContext } from "../vin/decodeVin";
import { parseInput } from "../calc/parse";

const vinInput = z.strictObject({ vin: z.string() });

/**
 * Every calculation that can be asked for by name.
 *
 * @param vinContext - gives the VIN data when first needed, since loading it is slow beside the rest.
 */
export function calculations(vinContext: () => VinContext): Readonly<Record<string, (input: unknown) => unknown>> {
  return {
    vin: (input) => {
      const { vin } = parseInput(vinInput, input);
      return decodeVin(vin, vinContext());
    },
    plate: normalizePlate,
    price: priceQuote,
    labor: overlapLabor,
    slots: calcSlots,
    loan: planLoan,
    tire: readTireSize,
    wear: calcWear,
  };
}
