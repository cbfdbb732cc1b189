import type { Vehicle } from "@mechanon/contract";
import type { VehicleRow } from "./model";

/** A car as the wire shows it. */
export function toVehicle(row: VehicleRow): Vehicle {
  const { id, customerId, vin, vinNote, plate, region, year, make, model, trim, engine, drive, transmission } = row;
  const { color, unitNumber, nickname, photoId, version } = row;
  return {
    id,
    customerId,
    vin,
    vinNote,
    plate,
    region,
    year,
    make,
    model,
    trim,
    engine,
    drive,
    transmission,
    color,
    unitNumber,
    nickname,
    photoId,
    version,
  };
}
