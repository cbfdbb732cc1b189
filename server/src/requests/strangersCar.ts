import { decodeVin, describeVehicle } from "@mechanon/core/vin";
import type { StrangersCar } from "@mechanon/contract";
import { AppError } from "../errors/appError";
import { OutsideError } from "../outside/http";
import type { Deps } from "../scope";
import { readPlate } from "../vehicles/service";

/**
 * What a plate or VIN is, for somebody nobody knows: what the register and the VIN itself say, never what is kept here.
 * @throws {AppError} `plate/register-unreachable`; `request/invalid` for a plate of which nothing is left.
 */
export async function strangersCar(
  { outside, vin: context }: Pick<Deps, "outside" | "vin">,
  { plate, region, vin }: { plate: string; region: string; vin: string },
): Promise<StrangersCar[]> {
  if (vin !== "") {
    const { year, make, model } = describeVehicle(decodeVin(vin, context));
    return [{ plate, region, vin: vin.toUpperCase(), year, make: make ?? "", model: model ?? "" }];
  }
  const read = readPlate(plate, region);
  try {
    const cars = await outside.plateRegister.carsBehind(read.region, read.key);
    return cars.map((car) => {
      const known = car.vin === null ? car : describeVehicle(decodeVin(car.vin, context));
      const { year, make, model } = known;
      // Whoever has a plate before their eyes need not be the owner: of its VIN nothing is told.
      return { plate: read.plate, region: read.region, vin: "", year, make: make ?? "", model: model ?? "" };
    });
  } catch (error) {
    if (error instanceof OutsideError)
      throw new AppError(
        "plate/register-unreachable",
        "The plate register does not answer. What you typed is kept; say the car by hand.",
        { cause: error },
      );
    throw error;
  }
}
