import { balanceOf, showMoney } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { CommandDeps } from "../commands/aggregate";
import { afterAsking } from "../externalRequests/afterAsking";
import { beforeAsking } from "../externalRequests/beforeAsking";
import { askedRequests, findRequest, keyOf, type ExternalRequest } from "../externalRequests/externalRequest";
import { recordAnswer } from "../externalRequests/recordAnswer";
import { isCommandId, reserveRequest } from "../externalRequests/reserveRequest";
import { AppError } from "../errors/appError";
import type { ChargeAnswer } from "../outside/cardTerminal/port";
import { OutsideError } from "../outside/http";
import type { Deps, Scope } from "../scope";
import { findWorkOrder } from "../workOrders/service";
import { viewWorkOrder } from "../workOrders/view";

export interface CardResult {
  result: "taken" | "declined";
  reason: string | null;
  workOrder: WorkOrderView;
}

const NOT_ASKED =
  "The database does not answer, so the terminal was not asked and the card was not charged. Try again in a while.";
const UNKNOWN =
  "The terminal was asked, but its answer could not be written down, so it is not known here whether the card was charged. It is asked again by itself and will not charge twice; wait for its word before you take this money another way.";

type ChargeDeps = Pick<Deps, "config" | "db" | "outside" | "rules">;

/**
 * Takes a card through the terminal. The charge is written down under the work order's lock before the terminal is
 * asked; its id makes it safe to ask again after an answer was lost: the terminal charges it once, and it is recorded
 * once. Where nobody asks again the queue does, until the terminal tells.
 *
 * @throws {AppError} `payment/terminal-unreachable` when the outcome is unknown, `payment/nothing-due`,
 *   `payment/amount-too-high`, `payment/given-up` for one that was withdrawn before it reached the terminal.
 */
export async function takeCard(
  deps: ChargeDeps,
  scope: Scope,
  workOrderId: string,
  { paymentId, amountCents }: { paymentId: string; amountCents: number },
): Promise<CardResult> {
  const { businessId } = scope;
  const { request, isOwed } = await beforeAsking(NOT_ASKED, () =>
    reserve(deps, scope, workOrderId, paymentId, amountCents),
  );
  if (request.status === "asked") {
    const answer = await askTerminal(deps, request, isOwed);
    await afterAsking(UNKNOWN, () => recordChargeAnswer(deps, businessId, request, answer));
  }
  const workOrder = await viewWorkOrder(deps, scope, workOrderId);
  const payment = workOrder.state.payments.find(({ id }) => id === paymentId);
  if (!payment)
    throw new AppError(
      "payment/given-up",
      "This charge was given up before it reached the terminal. The card was not charged; take it again.",
    );
  return { result: payment.status, reason: payment.reason, workOrder };
}

/** Asks the terminal what became of a charge whose answer was lost, and records it. */
export async function settleCharge(
  deps: Pick<Deps, "db" | "outside" | "rules" | "config">,
  businessId: string,
  request: ExternalRequest,
): Promise<void> {
  const answer = await deps.outside.cardTerminal.settle(request.key);
  await recordChargeAnswer(deps, businessId, request, answer);
}

async function recordChargeAnswer(
  deps: CommandDeps,
  businessId: string,
  request: ExternalRequest,
  answer: ChargeAnswer,
): Promise<void> {
  const { id: paymentId } = request;
  const amountCents = request.amountCents ?? 0;
  if (answer.outcome === "withdrawn")
    return recordAnswer(deps, businessId, request, { status: "lapsed", answer, command: null });
  if (answer.outcome === "declined") {
    const command = { type: "recordCardDecline" as const, paymentId, amountCents, reason: answer.reason };
    return recordAnswer(deps, businessId, request, { status: "refused", answer, command });
  }
  const { lastFour, authorization } = answer;
  const command = { type: "recordCardPayment" as const, paymentId, amountCents, lastFour, authorization };
  return recordAnswer(deps, businessId, request, { status: "done", answer, command });
}

async function reserve(
  { db, config }: ChargeDeps,
  scope: Scope,
  workOrderId: string,
  paymentId: string,
  amountCents: number,
): Promise<{ request: ExternalRequest; isOwed: boolean }> {
  const { businessId, actor } = scope;
  return db.transaction(async (transaction) => {
    const row = await findWorkOrder(scope, workOrderId, transaction, "locked");
    const before = await findRequest(db, businessId, paymentId, transaction);
    if (before) {
      if (before.workOrderId !== workOrderId || before.amountCents !== amountCents || before.kind !== "cardCharge")
        throw idReused();
      const { dueCents } = balanceOf(row.state);
      if (before.status !== "lapsed") return { request: before, isOwed: dueCents >= amountCents };
    } else if (await isCommandId(db, businessId, paymentId, transaction)) throw idReused();
    const asked = (await askedRequests(db, businessId, workOrderId, transaction)).filter(
      ({ kind }) => kind === "cardCharge",
    );
    const openCents =
      balanceOf(row.state).dueCents - asked.reduce((sum, { amountCents: cents }) => sum + (cents ?? 0), 0);
    if (openCents <= 0)
      throw new AppError(
        "payment/nothing-due",
        asked.length > 0
          ? "A card payment is still waiting for the terminal's word. Nothing was charged; ask the terminal first."
          : "Nothing is owed on this work order. Nothing was charged.",
      );
    if (amountCents > openCents)
      throw new AppError("payment/amount-too-high", `Only ${showMoney(openCents)} is owed. Nothing was charged.`);
    const request = {
      id: paymentId,
      kind: "cardCharge" as const,
      key: keyOf(businessId, paymentId),
      workOrderId,
      supplierId: null,
      amountCents,
      personId: actor.id,
      lines: [],
    };
    await reserveRequest(db, businessId, request, config.settleAfterMs, transaction);
    return { request: { ...request, status: "asked", askedAt: new Date().toISOString() }, isOwed: true };
  });
}

/** @param isOwed - false: it was paid another way meanwhile, so it is only asked what became of it. */
async function askTerminal(
  { outside }: ChargeDeps,
  { key, amountCents, workOrderId }: ExternalRequest,
  isOwed: boolean,
): Promise<ChargeAnswer> {
  const { cardTerminal } = outside;
  try {
    return await (isOwed ? cardTerminal.charge(key, amountCents ?? 0, workOrderId) : cardTerminal.settle(key));
  } catch (error) {
    if (error instanceof OutsideError)
      throw new AppError(
        "payment/terminal-unreachable",
        "The card terminal does not answer, so it is not known whether the card was charged. Ask the terminal again, or wait: it is asked by itself, and will not charge twice.",
        { cause: error, retryAfterSeconds: 10 },
      );
    throw error;
  }
}

function idReused(): AppError {
  return new AppError("command/id-reused", "This payment id was used for something else. Nothing was charged.");
}
