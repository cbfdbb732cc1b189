import { v7 as uuid } from "uuid";
import type { RefusalCode } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { keepChange, keepView } from "../sync/store";
import { nowhere } from "../work/nowhere";
import { derivedId } from "./derivedId";
import type { Draft, KeptCar } from "./draft";
import { jobCommands } from "./jobCommands";
import type { DraftBodies } from "./readDraft";

/**
 * Saves a call: customer, car, work order, visit, in this order. Each step has an id of its own, so that doing it again
 * after a lost answer makes nothing twice.
 *
 * @returns Why the work order or the visit was refused, null when all is saved.
 * @throws what `call` throws; what was typed stays in the draft.
 */
export async function saveDraft(draft: Draft, bodies: DraftBodies, allowOverlap: boolean): Promise<RefusalCode | null> {
  const { workOrderId, visitId } = draft;
  const at = new Date().toISOString();
  if (bodies.customer) await call(routes.createCustomer, { body: bodies.customer, key: bodies.customerId });
  if (bodies.vehicle) await call(routes.createVehicle, { body: bodies.vehicle, key: bodies.vehicleId });
  if (bodies.then) await settleOwner(bodies.then, bodies.customerId);
  const opened = await call(routes.sendWorkOrderCommands, {
    params: { id: workOrderId },
    body: {
      commands: [
        {
          id: draft.openCommandId,
          at,
          command: {
            type: "openWorkOrder",
            customerId: bodies.customerId,
            vehicleId: bodies.vehicleId,
            concerns: draft.concerns.map((concern, index) => ({ ...concern, id: derivedId(workOrderId, index) })),
          },
        },
      ],
    },
  });
  const refused = opened.outcomes[0]?.refusal ?? null;
  if (refused !== null) return refused;
  await keepChange(opened.change);
  await takeJobsAlong(draft, at);
  if (!draft.slot) return null;
  const { mechanicId, startsAt, endsAt } = draft.slot;
  const command = {
    type: "bookVisit" as const,
    workOrderIds: [workOrderId],
    mechanicId,
    place: bodies.place ?? nowhere(),
    startsAt,
    endsAt,
    note: "",
    allowOverlap,
  };
  const booked = await call(routes.sendVisitCommands, {
    params: { id: visitId },
    body: { commands: [{ id: allowOverlap ? uuid() : draft.bookCommandId, at, command }] },
  });
  const refusal = booked.outcomes[0]?.refusal ?? null;
  if (refusal !== null) return refusal;
  keepView(await call(routes.getWorkOrder, { params: { id: workOrderId } }));
  return null;
}

/** A car that changed hands, or that the caller drives. Doing it again changes nothing. */
async function settleOwner({ vehicle, then }: KeptCar, customerId: string): Promise<void> {
  if (vehicle.customerId === customerId) return;
  const params = { id: vehicle.id };
  if (then === "move") await call(routes.moveVehicle, { params, body: { customerId, version: vehicle.version } });
  if (then === "link") await call(routes.linkPerson, { params, body: { customerId, role: "Driver" } });
}

/** Puts the jobs of a copied quote and work put off on the new work order. */
async function takeJobsAlong(draft: Draft, at: string): Promise<void> {
  const { workOrderId, openQuote, takeAlong } = draft;
  const copied =
    openQuote?.way === "copy"
      ? (await call(routes.getWorkOrder, { params: { id: openQuote.workOrderId } })).state.jobs
      : [];
  if (copied.length === 0 && takeAlong.length === 0) return;
  const { library } = await call(routes.getLibrary, {});
  const commands = jobCommands(copied, takeAlong, library, (place) => derivedId(workOrderId, place)).map(
    (command, index) => ({ id: derivedId(draft.openCommandId, 1 + index), at, command }),
  );
  const answer = await call(routes.sendWorkOrderCommands, { params: { id: workOrderId }, body: { commands } });
  await keepChange(answer.change);
}
