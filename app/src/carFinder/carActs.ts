import type { Act } from "../sync/pending";
import type { KeptCar, NewCar } from "./carSearch";

type CarAct = Act & { kind: "vehicle" | "vehicleOwner" };

/**
 * What keeps a car somebody confirmed, for a customer: a new one under an id of its own, a kept one that changed hands or
 * is driven with its new owner or driver. Nothing where it is theirs already.
 *
 * @param id - of a new car.
 */
export function carActs(car: KeptCar | NewCar, id: string, customerId: string): CarAct[] {
  if (car.kind === "new")
    return [{ kind: "vehicle", target: id, id, body: { customerId, ...car.guess, vinNote: car.vinNote } }];
  const { vehicle, then } = car;
  if (then === "nothing" || vehicle.customerId === customerId) return [];
  return [{ kind: "vehicleOwner", target: vehicle.id, customerId, becomes: then === "move" ? "owner" : "driver" }];
}
