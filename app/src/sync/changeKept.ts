import { changedFields } from "@mechanon/core";
import { give } from "./give";
import { changeLine } from "./line";
import type { CustomerRecord, Pending, VehicleRecord } from "./pending";
import { changeMade } from "./refusals";
import { useSync } from "./state";

/**
 * Changes a customer: one the server does not have yet where it waits, a kept one by what differs.
 * @param from - as the person saw it when they began.
 */
export async function changeCustomer(id: string, from: CustomerRecord, to: CustomerRecord): Promise<void> {
  const isFromHere = await changeMade(id, (made) =>
    made.kind === "customer" ? { ...made, body: { ...made.body, ...to } } : made,
  );
  if (isFromHere) return;
  const changes = changedFields(from, to);
  if (Object.keys(changes.becomes).length > 0) await give([{ kind: "customerChange", target: id, ...changes }]);
}

/** Changes a car, as `changeCustomer` does a customer; `to`: only what is another. */
export async function changeVehicle(id: string, from: VehicleRecord, to: Partial<VehicleRecord>): Promise<void> {
  const isFromHere = await changeMade(id, (made) =>
    made.kind === "vehicle" ? { ...made, body: { ...made.body, ...to } } : made,
  );
  if (isFromHere) return;
  const changes = changedFields(from, to);
  if (Object.keys(changes.becomes).length > 0) await give([{ kind: "vehicleChange", target: id, ...changes }]);
}

/** Changes the server did not take. */
export interface NotTaken<Fields> {
  /** All of them together, as a form opens with them again. */
  fields: Partial<Fields>;
  /** Takes them out of the line: they go anew with what is saved. */
  settle: () => Promise<void>;
}

/** What was changed here of a customer and not taken. */
export function customerNotTaken(id: string): NotTaken<CustomerRecord> {
  return refusedChanges<CustomerRecord>(id, (item) => (item.kind === "customerChange" ? item.becomes : null));
}

/** What was changed here of a car and not taken. */
export function vehicleNotTaken(id: string): NotTaken<VehicleRecord> {
  return refusedChanges<VehicleRecord>(id, (item) => (item.kind === "vehicleChange" ? item.becomes : null));
}

function refusedChanges<Fields>(id: string, changesOf: (item: Pending) => Partial<Fields> | null): NotTaken<Fields> {
  const { refused } = useSync.getState();
  const changes = refused.filter(({ target }) => target === id).map((item) => ({ id: item.id, of: changesOf(item) }));
  const ids = new Set(changes.flatMap((change) => (change.of ? [change.id] : [])));
  return {
    fields: changes.reduce<Partial<Fields>>((fields, { of }) => ({ ...fields, ...of }), {}),
    settle: () => changeLine((item) => (ids.has(item.id) ? null : item)),
  };
}
