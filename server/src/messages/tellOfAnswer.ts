import {
  answerWords,
  approvedParts,
  isRunning,
  say,
  showMoney,
  showVehicle,
  upgradeDetails,
  upgradeVisit,
  type Language,
  type MessageKind,
  type WorkOrderCommand,
  type WorkOrderState,
} from "@mechanon/core";
import type { Run } from "../commands/aggregate";
import { findCustomer } from "../customers/service";
import { findVehicle } from "../vehicles/service";
import { tellCustomer } from "./tellCustomer";

/** What is told of a change of a work order. */
interface Told {
  kind: MessageKind;
  key: string;
  words: (language: Language) => string;
}

/** Tells a customer what they answered or took back, and that all the parts are here, by the owner's rule. */
export async function tellOfAnswer(
  { deps, scope, id, transaction, begun }: Run,
  before: WorkOrderState | null,
  after: WorkOrderState,
  command: WorkOrderCommand,
): Promise<void> {
  if (deps.isQuiet || after.customerId === null) return;
  const isPlanned = (begun.visits ?? []).some((visit) => isRunning(upgradeVisit(visit)));
  const told = toldOf(before, after, command, isPlanned);
  if (told === null) return;
  const customer = await findCustomer(scope, after.customerId, transaction);
  if (customer.erasedAt) return;
  const details = upgradeDetails(customer.details);
  const vehicle = after.vehicleId === null ? null : await findVehicle(scope, after.vehicleId, transaction);
  const values = { car: vehicle ? showVehicle(vehicle) : "", words: told.words(details.language) };
  const about = { workOrderId: id, customerId: customer.id };
  await tellCustomer(
    deps,
    scope,
    { kind: told.kind, key: told.key, told: { name: customer.name, ...details }, about, values },
    transaction,
  );
}

function toldOf(
  before: WorkOrderState | null,
  after: WorkOrderState,
  command: WorkOrderCommand,
  isPlanned: boolean,
): Told | null {
  if (command.type === "recordAnswers" || command.type === "answerOnPage") {
    const given = after.approvals.find(({ id }) => id === command.approvalId);
    // Sent once more it was told of before.
    if (!given || before?.approvals.some(({ id }) => id === given.id)) return null;
    const { answers, totalCents } = given;
    const isAgreeing = answers.some(({ answer }) => answer === "yes");
    return {
      kind: "answered",
      key: given.id,
      words: (language) => answerWords(language, answers, totalCents, isAgreeing),
    };
  }
  if (command.type === "takeBackOnPage") {
    const taken = after.takenBack?.find(({ id }) => id === command.takenBackId);
    if (!taken || before?.takenBack?.some(({ id }) => id === taken.id)) return null;
    const { title, costCents } = taken;
    return {
      kind: "takenBack",
      key: taken.id,
      words: (language) =>
        costCents === 0
          ? say(language, "answer.tookBack", { title })
          : say(language, "answer.tookBackCosts", { title, amount: showMoney(costCents) }),
    };
  }
  if (command.type !== "receiveParts" || before === null || isPlanned) return null;
  const isComplete = awaited(before) > 0 && awaited(after) === 0;
  return isComplete ? { kind: "partsHere", key: `${after.id}/${after.received.length}`, words: () => "" } : null;
}

function awaited(state: WorkOrderState): number {
  return approvedParts(state, "needed").length + approvedParts(state, "ordered").length;
}
