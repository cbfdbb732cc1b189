import { showVehicle, type AskedCar } from "@mechanon/core";

/** What a car is called that somebody told of; empty: nothing was said. */
export function nameOfCar({ year, make, model, plate, vin }: AskedCar): string {
  if (year === null && make === "" && model === "") return plate || vin;
  return showVehicle({ year, make: make || null, model: model || null });
}
