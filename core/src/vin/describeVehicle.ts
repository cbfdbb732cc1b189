import type { VinReport } from "./decodeVin";
import { engineName } from "./engineName";

/** A car as far as its VIN tells; what a person has to say is null. */
export interface DescribedVehicle {
  vin: string;
  year: number | null;
  make: string | null;
  model: string | null;
  trim: string | null;
  engine: string | null;
  drive: string | null;
  transmission: string | null;
}

/** The car a report tells of, as it is kept: what the VIN does not say, or leaves open, is null. */
export function describeVehicle({
  vin,
  modelYear,
  make,
  model,
  trim,
  drive,
  transmission,
  engine,
}: VinReport): DescribedVehicle {
  return { vin, year: modelYear, make, model, trim, engine: engineName(engine), drive, transmission };
}
