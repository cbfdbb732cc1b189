import { matchMarks, readSearch } from "@mechanon/core";
import type { FoundCustomer } from "@mechanon/contract";
import type { KeptCar } from "../carFinder/carSearch";

/** The car a call is about, as far as that is certain: the one whose plate or VIN was typed, or the only one. */
export function carMeant({ vehicles, vehicleCount }: FoundCustomer, typed: string): KeptCar | null {
  const query = readSearch(typed);
  const named = vehicles.filter(({ plate, vin }) =>
    [plate, vin].some((code) => code !== null && query.phones.length === 0 && matchMarks(query, code).length > 0),
  );
  const [only] = named.length === 1 ? named : vehicleCount === 1 ? vehicles : [];
  return only ? { kind: "kept", vehicle: only, then: "nothing" } : null;
}
