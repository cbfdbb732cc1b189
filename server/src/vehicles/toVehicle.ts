import type { Vehicle } from "@mechanon/contract";
import type { VehicleRow } from "../db/models";

/** A car as the wire shows it. */
export function toVehicle(row: VehicleRow): Vehicle {
  const { id, customerId, vin, plate, region, year, make, model, trim, engine, drive, color, version } = row;
  return { id, customerId, vin, plate, region, year, make, model, trim, engine, drive, color, version };
}
