import { v7 as uuid } from "uuid";
import type { ClientWorkOrderCommand, RefusalCode, WorkOrderState } from "@mechanon/core";
import { fieldsOf, routes } from "@mechanon/contract";
import { call } from "../api/call";
import { isMadeBefore, keepFoundCar } from "../carFinder/keepFoundCar";
import { keepChange, keepView } from "../sync/store";
import { nowhere } from "../work/nowhere";
import { derivedId } from "./derivedId";
import type { Draft } from "./draft";
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
  if (bodies.customer) await keepCustomer(bodies.customer);
  if (bodies.car) await keepFoundCar(bodies.car, draft.vehicleId, bodies.customerId);
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
            concerns: bodies.concerns.map((concern, index) => ({ ...concern, id: derivedId(workOrderId, index) })),
          },
        },
      ],
    },
  });
  const refused = opened.outcomes[0]?.refusal ?? null;
  if (refused !== null) return refused;
  await keepChange(opened.change);
  await catchUp(draft, bodies, opened.change?.state ?? {}, at);
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

/** Makes the customer; one that was made before its answer was lost becomes what stands typed now. */
async function keepCustomer(body: NonNullable<DraftBodies["customer"]>): Promise<void> {
  try {
    await call(routes.createCustomer, { body, key: body.id });
  } catch (error) {
    if (!isMadeBefore(error)) throw error;
    const params = { id: body.id };
    const { customer } = await call(routes.getCustomer, { params });
    const { id: _id, notTheSameAs: _others, ...typed } = body;
    await call(routes.changeCustomer, { params, body: { ...fieldsOf(customer), ...typed, version: customer.version } });
  }
}

/** What was changed after a first try whose answer was lost: the work order was opened as it stood then. */
async function catchUp(
  { workOrderId }: Draft,
  { customerId, vehicleId, concerns }: DraftBodies,
  opened: Partial<WorkOrderState>,
  at: string,
): Promise<void> {
  // An answer of before tells no state, or a part of it.
  const known =
    opened.concerns && opened.customerId !== undefined && opened.vehicleId !== undefined
      ? { concerns: opened.concerns, customerId: opened.customerId, vehicleId: opened.vehicleId }
      : (await call(routes.getWorkOrder, { params: { id: workOrderId } })).state;
  const isKept = (text: string): boolean => known.concerns.some((each) => each.text === text);
  const missing: ClientWorkOrderCommand[] = [
    ...(known.customerId === customerId ? [] : [{ type: "changeCustomer" as const, customerId, keepAnswers: false }]),
    ...(known.vehicleId === vehicleId
      ? []
      : [{ type: "changeVehicle" as const, vehicleId, keepFindings: false, keepAnswers: false }]),
    ...concerns
      .filter(({ text }) => !isKept(text))
      .map((concern) => ({ type: "addConcern" as const, concernId: uuid(), ...concern })),
  ];
  if (missing.length === 0) return;
  const commands = missing.map((command) => ({ id: uuid(), at, command }));
  const answer = await call(routes.sendWorkOrderCommands, { params: { id: workOrderId }, body: { commands } });
  await keepChange(answer.change);
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
