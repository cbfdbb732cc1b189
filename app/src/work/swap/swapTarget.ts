import { showVehicle } from "@mechanon/core";
import type { Customer, Vehicle } from "@mechanon/contract";
import type { Act } from "../../sync/pending";

/** What a car or customer on a work order is swapped for; `detach`: for no car at all. */
export type SwapTarget =
  /** `keep`: what keeps a car that is not kept here yet, or makes it somebody else's. */
  | { kind: "vehicle"; vehicle: Vehicle; keep: Act[]; name: string }
  | { kind: "detach"; name: string }
  | { kind: "customer"; customer: Customer; name: string };

/** A car, told apart from the customer's others by its plate. */
export function carName(car: Vehicle): string {
  return `${showVehicle(car)}, ${car.plate ?? "no plate"}`;
}

export function carTarget(vehicle: Vehicle, keep: Act[] = []): SwapTarget {
  return { kind: "vehicle", vehicle, keep, name: carName(vehicle) };
}
