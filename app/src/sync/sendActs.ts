import { refusalWords, type RefusalCode } from "@mechanon/core";
import { routes, type CommandOutcome, type WorkOrderView } from "@mechanon/contract";
import { call } from "../api/call";
import { ApiProblem } from "../api/problem";
import { customerRecord, vehicleRecord } from "./keptRecords";
import type { Pending, Refusal } from "./pending";
import type { KnownChange } from "./showsChange";
import {
  sendAgreement,
  sendCustomerChange,
  sendSpecCorrection,
  sendVehicleChange,
  type Kept,
  type KeptRecord,
} from "./sendKeptChange";
import { knownWithVisit, viewAfter } from "./views";

/** What came of acts that were sent. */
export interface Sent {
  /** By the act's id; null: it was done, and there is nothing to say. */
  outcomes: ReadonlyMap<string, Refusal | null>;
  /** The work order as it is now, where the server said. */
  view: WorkOrderView | null;
  changed: KnownChange | null;
  /** The thing was kept already under another id: what is still in line goes to that one. */
  instead: { id: string; is: string } | null;
  /** The customer or the car as the server keeps it now, where it said. */
  record: KeptRecord | null;
}

const NOTHING: Omit<Sent, "outcomes"> = { view: null, changed: null, instead: null, record: null };

/**
 * Sends acts of one thing.
 * @throws {ApiProblem} when the server says no to all of them, {Unreachable} when it says nothing.
 */
export async function sendActs(batch: readonly Pending[]): Promise<Sent> {
  const [first] = batch;
  if (!first) return { outcomes: new Map(), ...NOTHING };
  switch (first.kind) {
    case "workOrder":
      return sendToWorkOrder(first.target, batch);
    case "visit":
      return sendToVisit(first.target, first.workOrderId, batch);
    case "customer":
      return sendCustomer(first);
    case "vehicle":
      return sendVehicle(first);
    case "vehicleOwner":
      await settleOwner(first);
      return done(first);
    case "merge":
      await call(routes.mergeCustomers, {
        params: { id: first.target },
        body: { mergedId: first.mergedId },
        key: first.id,
      });
      return done(first);
    case "personOff":
      await call(routes.unlinkPerson, { params: { id: first.target, customerId: first.customerId } });
      return done(first);
    case "customerChange":
      return settled(first, await sendCustomerChange(first));
    case "agreement":
      return settled(first, await sendAgreement(first));
    case "vehicleChange":
      return settled(first, await sendVehicleChange(first));
    case "specCorrection":
      return settled(first, await sendSpecCorrection(first));
  }
}

async function sendToWorkOrder(id: string, batch: readonly Pending[]): Promise<Sent> {
  const commands = batch.flatMap((item) =>
    item.kind === "workOrder" ? [{ id: item.id, at: item.at, command: item.command }] : [],
  );
  const { outcomes, change } = await call(routes.sendWorkOrderCommands, { params: { id }, body: { commands } });
  return { ...NOTHING, outcomes: toMap(outcomes), view: await viewAfter(change), changed: change };
}

async function sendToVisit(id: string, workOrderId: string, batch: readonly Pending[]): Promise<Sent> {
  const commands = batch.flatMap((item) =>
    item.kind === "visit" ? [{ id: item.id, at: item.at, command: item.command }] : [],
  );
  const { outcomes, visit, revision } = await call(routes.sendVisitCommands, { params: { id }, body: { commands } });
  // "On my way" leaves a text on the work order, which only the server can show.
  const isTold = commands.some(({ command }) => command.type === "setOff");
  const view = isTold
    ? await call(routes.getWorkOrder, { params: { id: workOrderId } })
    : visit && knownWithVisit(workOrderId, visit);
  return { ...NOTHING, outcomes: toMap(outcomes), view, changed: visit ? { id: visit.id, revision } : null };
}

async function sendCustomer(item: Extract<Pending, { kind: "customer" }>): Promise<Sent> {
  const { target: id, body } = item;
  try {
    await call(routes.createCustomer, { body: { ...body, id }, key: item.id });
  } catch (error) {
    if (!isMadeBefore(error)) throw error;
    const { customer } = await call(routes.getCustomer, { params: { id } });
    const { notTheSameAs: _others, keepTwice: _twice, ...typed } = body;
    await call(routes.changeCustomer, {
      params: { id },
      body: { ...customerRecord(customer), ...typed, version: customer.version },
    });
  }
  return { ...NOTHING, outcomes: new Map([[item.id, await twinOf(item)]]) };
}

/** Somebody taken down without a signal may be kept already: said where it shows, to be made one. */
async function twinOf({ target: id, body }: Extract<Pending, { kind: "customer" }>): Promise<Refusal | null> {
  const { notTheSameAs = [], keepTwice: _keep, ...typed } = body;
  const { likely } = await call(routes.likelyCustomers, { body: { ...typed, id } });
  const twin = likely.find(
    ({ customer, likenesses }) =>
      !notTheSameAs.includes(customer.id) && likenesses.some((why) => why === "phone" || why === "email"),
  );
  if (!twin) return null;
  const words = `${body.name} is kept now, and so is ${twin.customer.name} with the same phone or email. If they are one, make them one.`;
  return { code: "customer/kept-twice", words, isDone: true };
}

/** Keeps a car; one whose VIN or plate is kept already is that one. */
async function sendVehicle(item: Extract<Pending, { kind: "vehicle" }>): Promise<Sent> {
  const { target: id, body } = item;
  try {
    await call(routes.createVehicle, { body: { ...body, id }, key: item.id });
  } catch (error) {
    const kept = error instanceof ApiProblem ? error.problem.keptId : undefined;
    if (kept !== undefined) return { ...done(item), instead: { id, is: kept } };
    if (!isMadeBefore(error)) throw error;
    const { customerId: _owner, ...typed } = body;
    const { version, ...made } = await call(routes.getVehicle, { params: { id } });
    await call(routes.changeVehicle, { params: { id }, body: { ...vehicleRecord(made), ...typed, version } });
  }
  return done(item);
}

/** It was made with other words before its answer was lost: it becomes what stands typed now. */
function isMadeBefore(error: unknown): boolean {
  return error instanceof ApiProblem && error.problem.code === "request/key-reused";
}

/** Makes a kept car somebody else's, or theirs to drive; what is so already stays. */
async function settleOwner(item: Extract<Pending, { kind: "vehicleOwner" }>): Promise<void> {
  const params = { id: item.target };
  if (item.becomes === "driver") {
    await call(routes.linkPerson, { params, body: { customerId: item.customerId, role: item.role ?? "Driver" } });
    return;
  }
  const { customerId, version } = await call(routes.getVehicle, { params });
  if (customerId !== item.customerId)
    await call(routes.moveVehicle, { params, body: { customerId: item.customerId, version } });
}

function settled(item: Pending, { record, refusal }: Kept): Sent {
  return { ...NOTHING, outcomes: new Map([[item.id, refusal]]), record };
}

function done(item: Pending): Sent {
  return { ...NOTHING, outcomes: new Map([[item.id, null]]) };
}

function toMap(outcomes: readonly CommandOutcome[]): Sent["outcomes"] {
  return new Map(outcomes.map(({ id, refusal }) => [id, refusal === null ? null : said(refusal)]));
}

function said(code: RefusalCode): Refusal {
  return { code, words: refusalWords(code) };
}
