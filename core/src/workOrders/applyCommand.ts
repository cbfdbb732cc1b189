import { hasRight, type Actor } from "../access/rights";
import type { QuoteLine } from "../quoting/line";
import { addJob, addLine, addOwnJob, changeLine, removeJob, removeLine } from "./applyQuoteCommand";
import { recordAnswers, recordPayment } from "./applyFacts";
import { approvedJobs } from "./answers";
import type { CommandContext } from "./commandContext";
import type { WorkOrderCommand } from "./commands";
import { withConflict } from "./conflictMark";
import { changeCustomer, changeVehicle } from "./swap";
import { Refusal } from "./refusal";
import type { WorkOrderState } from "./state";

/**
 * Applies a command to a work order; the same function on a phone and on the server.
 *
 * @param state - null before it is opened.
 * @returns The changed work order, `conflicts` with a mark for each fact that no longer fit. The one given is left as
 *   it is.
 * @throws {Refusal} when an intention does not fit. Facts are never refused.
 */
export function applyCommand(
  state: WorkOrderState | null,
  command: WorkOrderCommand,
  context: CommandContext,
): WorkOrderState {
  if (command.type === "openWorkOrder") {
    if (state) throw new Refusal("work-order/exists");
    return {
      id: context.workOrderId,
      customerId: command.customerId,
      vehicleId: command.vehicleId,
      openedAt: context.at,
      openedBy: context.actor.id,
      rules: context.settings.rules,
      taxExempt: context.taxExempt,
      concerns: command.concerns.map((concern) => ({ ...concern, at: context.at })),
      odometerMiles: null,
      pressures: null,
      findings: [],
      jobs: [],
      approvals: [],
      orders: [],
      received: [],
      payments: [],
      conflicts: [],
    };
  }
  if (!state) throw new Refusal("work-order/not-found");
  switch (command.type) {
    case "addConcern": {
      const { concernId: id, text, kind, phraseId } = command;
      return {
        ...state,
        concerns: [
          ...state.concerns.filter((concern) => concern.id !== id),
          { id, text, kind, phraseId, at: context.at },
        ],
      };
    }
    case "removeConcern":
      return removeConcern(state, command.concernId);
    case "changeVehicle":
      return changeVehicle(state, command);
    case "changeCustomer":
      return changeCustomer(state, command, context);
    case "recordOdometer":
      return { ...state, odometerMiles: { value: command.miles, at: context.at } };
    case "recordPressures":
      return { ...state, pressures: { frontPsi: command.frontPsi, rearPsi: command.rearPsi, at: context.at } };
    case "gradePoint":
      return gradePoint(state, command, context);
    case "attachPhoto":
    case "removePhoto":
      return changePhotos(state, command, context);
    case "addJob":
      return addJob(state, command, context);
    case "addOwnJob":
      return addOwnJob(state, command, context);
    case "removeJob":
      return removeJob(state, command.jobId);
    case "addLine":
      requirePriceRight(context.actor, command.line);
      return addLine(state, command.jobId, command.line);
    case "removeLine":
      return removeLine(state, command.lineId);
    case "changeLine":
      if (command.priceCents !== null && !hasRight(context.actor, "changePrices"))
        throw new Refusal("rights/change-prices");
      return changeLine(state, command);
    case "recordAnswers":
      return recordAnswers(state, command, context);
    case "recordPartsOrder":
      return recordPartsOrder(state, command, context);
    case "receiveParts":
      return receiveParts(state, command.lineIds, context);
    case "finishJobs":
      return finishJobs(state, command.jobIds, context);
    case "takeCash":
    case "recordCardPayment":
    case "recordCardDecline":
      return recordPayment(state, command, context);
    case "settleConflict":
      return settleConflict(state, command.conflictId, context);
  }
}

/** Labor at the business's own rate is anybody's to add; a price or rate of one's own takes the right. */
function requirePriceRight(actor: Actor, line: QuoteLine): void {
  const ownPrice = line.kind !== "labor" && line.priceCents !== null;
  const ownCost = line.kind === "part" && line.costCents !== null;
  if ((ownPrice || ownCost) && !hasRight(actor, "changePrices")) throw new Refusal("rights/change-prices");
}

function removeConcern(state: WorkOrderState, concernId: string): WorkOrderState {
  if (!state.concerns.some(({ id }) => id === concernId)) throw new Refusal("concern/not-found");
  if (state.jobs.some((job) => job.concernId === concernId)) throw new Refusal("concern/answered");
  return { ...state, concerns: state.concerns.filter(({ id }) => id !== concernId) };
}

function gradePoint(
  state: WorkOrderState,
  command: Extract<WorkOrderCommand, { type: "gradePoint" }>,
  { settings, at, actor }: CommandContext,
): WorkOrderState {
  const { pointId, grade, measured, note } = command;
  if (!settings.inspection.some(({ id }) => id === pointId)) throw new Refusal("point/not-found");
  const before = state.findings.find((finding) => finding.pointId === pointId);
  const finding = { pointId, grade, measured, note, photoIds: before?.photoIds ?? [], at, by: actor.id };
  return { ...state, findings: [...state.findings.filter((other) => other.pointId !== pointId), finding] };
}

function changePhotos(
  state: WorkOrderState,
  command: Extract<WorkOrderCommand, { type: "attachPhoto" | "removePhoto" }>,
  { settings, at, actor }: CommandContext,
): WorkOrderState {
  const { pointId, photoId } = command;
  if (!settings.inspection.some(({ id }) => id === pointId)) throw new Refusal("point/not-found");
  const before = state.findings.find((finding) => finding.pointId === pointId);
  if (command.type === "removePhoto" && !before?.photoIds.includes(photoId)) throw new Refusal("photo/not-found");
  const others = (before?.photoIds ?? []).filter((id) => id !== photoId);
  const photoIds = command.type === "attachPhoto" ? [...others, photoId] : others;
  const finding = before
    ? { ...before, photoIds }
    : { pointId, grade: "skipped" as const, measured: null, note: "", photoIds, at, by: actor.id };
  return { ...state, findings: [...state.findings.filter((other) => other.pointId !== pointId), finding] };
}

function recordPartsOrder(
  state: WorkOrderState,
  command: Extract<WorkOrderCommand, { type: "recordPartsOrder" }>,
  context: CommandContext,
): WorkOrderState {
  const { orderId: id, supplier, orderNumber, readyAt, items } = command;
  const ordered = {
    ...state,
    orders: [...state.orders, { id, at: context.at, by: context.actor.id, supplier, orderNumber, readyAt, items }],
  };
  return markLostLines(
    ordered,
    items.map(({ lineId }) => lineId),
    context,
  );
}

function receiveParts(state: WorkOrderState, lineIds: string[], context: CommandContext): WorkOrderState {
  const fresh = lineIds.filter((lineId) => !state.received.some((received) => received.lineId === lineId));
  const received = fresh.map((lineId) => ({ lineId, at: context.at, by: context.actor.id }));
  return markLostLines({ ...state, received: [...state.received, ...received] }, fresh, context);
}

function markLostLines(state: WorkOrderState, lineIds: string[], context: CommandContext): WorkOrderState {
  const known = new Set(state.jobs.flatMap((job) => job.lines.map(({ id }) => id)));
  const lost = lineIds.filter((lineId) => !known.has(lineId));
  return lost.length === 0 ? state : withConflict(state, "part/line-gone", String(lost.length), context);
}

function finishJobs(state: WorkOrderState, jobIds: string[], context: CommandContext): WorkOrderState {
  const finished = {
    ...state,
    jobs: state.jobs.map((job) =>
      jobIds.includes(job.id) ? { ...job, finishedAt: job.finishedAt ?? context.at } : job,
    ),
  };
  const standing = new Set(approvedJobs(state).map(({ id }) => id));
  const unapproved = state.jobs.filter((job) => jobIds.includes(job.id) && !standing.has(job.id));
  return unapproved.length === 0
    ? finished
    : withConflict(finished, "job/not-approved", unapproved.map(({ title }) => title).join(", "), context);
}

function settleConflict(state: WorkOrderState, conflictId: string, { at, actor }: CommandContext): WorkOrderState {
  if (!state.conflicts.some(({ id }) => id === conflictId)) throw new Refusal("conflict/not-found");
  return {
    ...state,
    conflicts: state.conflicts.map((mark) =>
      mark.id === conflictId && mark.settledAt === null ? { ...mark, settledAt: at, settledBy: actor.id } : mark,
    ),
  };
}
