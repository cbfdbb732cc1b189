import type { VehicleSheetView } from "@mechanon/contract";
import { customerHere } from "../customers/customerHere";
import { vehicleFromAct } from "../sync/madeHere";
import type { Pending } from "../sync/pending";

/**
 * The sheet of a car that was taken down on this device and is not at the server.
 * @param ownerOf - the name of a customer who is kept already.
 * @returns undefined for others.
 */
export function carHere(
  id: string,
  line: readonly Pending[],
  ownerOf: (customerId: string) => string | undefined,
): VehicleSheetView | undefined {
  const act = line.find((item) => item.kind === "vehicle" && item.target === id);
  const vehicle = act?.kind === "vehicle" ? vehicleFromAct(act) : null;
  if (!vehicle) return undefined;
  const { customerId } = vehicle;
  const name = customerHere(customerId, line)?.customer.name ?? ownerOf(customerId) ?? "";
  return {
    vehicle,
    owner: { id: customerId, name },
    people: [],
    moves: [],
    openWork: [],
    later: [],
    lastService: { oil: null, oilFilter: null, parts: [], pressures: null },
    odometer: { readings: [], doubtful: [], milesPerYear: null, predictedMiles: null },
    specs: null,
    corrections: [],
    due: [],
    unsafe: [],
    pictures: [],
    pastWork: [],
    pastWorkCount: 0,
  };
}
