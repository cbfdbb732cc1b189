import { routes, type Vehicle } from "@mechanon/contract";
import { call } from "../api/call";
import { ApiProblem } from "../api/problem";
import { changesOf } from "../cars/changesOf";
import type { KeptCar, NewCar } from "./carSearch";

/**
 * Keeps a car somebody confirmed, for a customer: a new one under an id that is the same however often it is sent, one
 * that changed hands or is driven with its new owner or driver. Doing it again changes nothing more.
 *
 * @throws what `call` throws.
 */
export async function keepFoundCar(car: KeptCar | NewCar, id: string, customerId: string): Promise<Vehicle> {
  if (car.kind === "kept") return settleOwner(car, customerId);
  const body = { ...car.guess, vinNote: car.vinNote };
  try {
    return await call(routes.createVehicle, { body: { id, customerId, ...body }, key: id });
  } catch (error) {
    if (!isMadeBefore(error)) throw error;
    // It was made before its answer was lost; what was said of it since is put right.
    const made = await call(routes.getVehicle, { params: { id } });
    return call(routes.changeVehicle, { params: { id }, body: { ...changesOf(made), ...body } });
  }
}

async function settleOwner({ vehicle, then }: KeptCar, customerId: string): Promise<Vehicle> {
  if (vehicle.customerId === customerId) return vehicle;
  const params = { id: vehicle.id };
  if (then === "move") return call(routes.moveVehicle, { params, body: { customerId, version: vehicle.version } });
  if (then === "link") await call(routes.linkPerson, { params, body: { customerId, role: "Driver" } });
  return vehicle;
}

/** The same id was sent before, with other words. */
export function isMadeBefore(error: unknown): boolean {
  return error instanceof ApiProblem && error.problem.code === "request/key-reused";
}
