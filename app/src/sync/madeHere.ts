import { customerBody, vehicleBody, type Customer, type Vehicle } from "@mechanon/contract";
import type { KeptCar, NewCar } from "../carFinder/carSearch";
import type { Pending } from "./pending";

type CustomerAct = Pick<Extract<Pending, { kind: "customer" }>, "target" | "body" | "at">;
type VehicleAct = Pick<Extract<Pending, { kind: "vehicle" }>, "target" | "body">;

/** A customer that was taken down on this device, as the server will keep it. @returns null where it would not. */
export function customerFromAct({ target: id, body, at }: CustomerAct): Customer | null {
  const read = customerBody.safeParse({ ...body, id });
  if (!read.success) return null;
  const { notTheSameAs: _others, keepTwice: _twice, ...fields } = read.data;
  return { ...fields, version: 1, createdAt: at, erasedAt: null };
}

/** A car that was taken down on this device, as the server will keep it. @returns null where it would not. */
export function vehicleFromAct({ target: id, body }: VehicleAct): Vehicle | null {
  const read = vehicleBody.safeParse({ ...body, id });
  return read.success ? { ...read.data, version: 1 } : null;
}

/** A car somebody confirmed, as it shows before it is kept. */
export function vehicleOf(car: KeptCar | NewCar, id: string, customerId: string): Vehicle | null {
  if (car.kind === "kept") return car.vehicle;
  return vehicleFromAct({ target: id, body: { customerId, ...car.guess, vinNote: car.vinNote } });
}
