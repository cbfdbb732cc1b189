import { balanceOf, showMoney } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { CardCharge } from "../db/models";
import { AppError } from "../http/errors";
import { OutsideError } from "../outside/http";
import type { ChargeAnswer } from "../outside/outside";
import type { Deps, Scope } from "../scope";
import { findWorkOrder, runWorkOrderCommand } from "../workOrders/service";
import { viewWorkOrder } from "../workOrders/view";

export interface CardResult {
  result: "taken" | "declined";
  reason: string | null;
  workOrder: WorkOrderView;
}

/**
 * Takes a card through the terminal. The payment id makes it safe to ask again after an answer was lost: the terminal
 * charges it once, and it is recorded once.
 *
 * @throws {AppError} `payment/terminal-unreachable` when the outcome is unknown; the charge stays on the work order
 *   until the terminal tells.
 */
export async function takeCard(
  deps: Deps,
  scope: Scope,
  workOrderId: string,
  { paymentId, amountCents }: { paymentId: string; amountCents: number },
): Promise<CardResult> {
  const charge = await registerCharge(deps, scope, workOrderId, paymentId, amountCents);
  if (charge.status !== "asked")
    return { result: charge.status, reason: charge.reason ?? null, workOrder: await viewWorkOrder(scope, workOrderId) };
  const answer = await askTerminal(deps, charge);
  const command =
    answer.outcome === "taken"
      ? ({
          type: "recordCardPayment",
          paymentId,
          amountCents: charge.amountCents,
          lastFour: answer.lastFour,
          authorization: answer.authorization,
        } as const)
      : ({ type: "recordCardDecline", paymentId, amountCents: charge.amountCents, reason: answer.reason } as const);
  await runWorkOrderCommand(deps, scope, workOrderId, { id: paymentId, at: new Date().toISOString(), command });
  const reason = answer.outcome === "declined" ? answer.reason : null;
  await charge.update({ status: answer.outcome, reason });
  return { result: answer.outcome, reason, workOrder: await viewWorkOrder(scope, workOrderId) };
}

async function registerCharge(
  { db }: Deps,
  scope: Scope,
  workOrderId: string,
  paymentId: string,
  amountCents: number,
): Promise<CardCharge> {
  const { businessId } = scope;
  return db.transaction(async (transaction) => {
    const row = await findWorkOrder(scope, workOrderId, transaction, "locked");
    const before = await CardCharge.findOne({ where: { businessId, id: paymentId }, transaction });
    if (before) {
      if (before.workOrderId !== workOrderId || before.amountCents !== amountCents)
        throw new AppError("command/id-reused", "This payment id was used for another payment. Nothing was charged.");
      return before;
    }
    const { dueCents } = balanceOf(row.state);
    const asked = await CardCharge.findAll({ where: { businessId, workOrderId, status: "asked" }, transaction });
    const openCents = dueCents - asked.reduce((sum, charge) => sum + charge.amountCents, 0);
    if (openCents <= 0)
      throw new AppError(
        "payment/nothing-due",
        asked.length > 0
          ? "A card payment is still waiting for the terminal's word. Nothing was charged; ask the terminal first."
          : "Nothing is owed on this work order. Nothing was charged.",
      );
    if (amountCents > openCents)
      throw new AppError("payment/amount-too-high", `Only ${showMoney(openCents)} is owed. Nothing was charged.`);
    return CardCharge.create(
      { businessId, id: paymentId, workOrderId, amountCents, status: "asked", askedAt: new Date() },
      { transaction },
    );
  });
}

async function askTerminal({ outside }: Deps, charge: CardCharge): Promise<ChargeAnswer> {
  try {
    return await outside.cardTerminal.charge(charge.id, charge.amountCents, charge.workOrderId);
  } catch (error) {
    if (error instanceof OutsideError)
      throw new AppError(
        "payment/terminal-unreachable",
        "The card terminal does not answer, so it is not known whether the card was charged. Ask the terminal again; it will not charge twice.",
        { cause: error, retryAfterSeconds: 10 },
      );
    throw error;
  }
}
