import { v7 as uuid } from "uuid";
import type { RefusalCode } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { keepView } from "../sync/store";
import { nowhere } from "../work/nowhere";
import type { Draft } from "./draft";
import type { DraftBodies } from "./readDraft";

/**
 * Saves a call: customer, car, work order, visit, in this order. Each step has an id of its own, so that doing it again
 * after a lost answer makes nothing twice.
 *
 * @returns Why the visit was refused, null when all is saved.
 * @throws what `call` throws; what was typed stays in the draft.
 */
export async function saveDraft(draft: Draft, bodies: DraftBodies, allowOverlap: boolean): Promise<RefusalCode | null> {
  const { workOrderId, visitId } = draft;
  const at = new Date().toISOString();
  if (bodies.customer) await call(routes.createCustomer, { body: bodies.customer, key: bodies.customerId });
  if (bodies.vehicle) await call(routes.createVehicle, { body: bodies.vehicle, key: bodies.vehicleId });
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
            concerns: draft.concerns.map((concern, index) => ({ ...concern, id: concernId(workOrderId, index) })),
          },
        },
      ],
    },
  });
  if (opened.workOrder) keepView(opened.workOrder);
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

/** The same concern of the same draft has the same id, however often it is sent. */
function concernId(workOrderId: string, index: number): string {
  return `${workOrderId.slice(0, -3)}${index.toString(16).padStart(3, "0")}`;
}
