import { balanceOf } from "../payments/balance";
import { jobTotals } from "./answers";
import type { CommandContext } from "./commandContext";
import type { WorkOrderCommandOf } from "./commands";
import { withConflict } from "./conflictMark";
import type { Payment, WorkOrderState } from "./state";

/**
 * Records what a customer answered, for the totals they saw. Where a job has another total by now the answer is kept
 * for the total seen, so it does not stand, and a conflict mark says so.
 */
export function recordAnswers(
  state: WorkOrderState,
  command: WorkOrderCommandOf<"recordAnswers">,
  context: CommandContext,
): WorkOrderState {
  const { approvalId: id, way, name, signature, answers, totalCents } = command;
  const totals = jobTotals(state);
  let next: WorkOrderState = {
    ...state,
    approvals: [
      ...state.approvals,
      { id, at: context.at, by: context.actor.id, way, name, signature, answers, totalCents },
    ],
    jobs: state.jobs.map((job) => {
      const given = answers.find(({ jobId }) => jobId === job.id);
      return given ? { ...job, answer: { value: given.answer, approvalId: id, totalCents: given.totalCents } } : job;
    }),
  };
  const gone = answers.filter(({ jobId, answer }) => answer === "yes" && !totals.has(jobId));
  const changed = answers.filter(
    (given) => given.answer === "yes" && totals.has(given.jobId) && totals.get(given.jobId) !== given.totalCents,
  );
  if (gone.length > 0)
    next = withConflict(next, "approval/job-gone", gone.map(({ title }) => title).join(", "), context);
  if (changed.length > 0)
    next = withConflict(next, "approval/price-changed", changed.map(({ title }) => title).join(", "), context);
  return next;
}

/** Records money taken, or a card declined. Money beyond what is owed is kept and marked. */
export function recordPayment(
  state: WorkOrderState,
  command: WorkOrderCommandOf<"takeCash" | "recordCardPayment" | "recordCardDecline">,
  context: CommandContext,
): WorkOrderState {
  if (state.payments.some(({ id, status }) => id === command.paymentId && status === "taken")) return state;
  const base = { id: command.paymentId, at: context.at, by: context.actor.id, amountCents: command.amountCents };
  const payment: Payment =
    command.type === "takeCash"
      ? { ...base, method: "cash", status: "taken", tenderedCents: command.tenderedCents, card: null, reason: null }
      : command.type === "recordCardPayment"
        ? {
            ...base,
            method: "card",
            status: "taken",
            tenderedCents: null,
            card: { lastFour: command.lastFour, authorization: command.authorization },
            reason: null,
          }
        : { ...base, method: "card", status: "declined", tenderedCents: null, card: null, reason: command.reason };
  const owed = balanceOf(state).dueCents;
  const next = { ...state, payments: [...state.payments, payment] };
  return payment.status === "taken" && payment.amountCents > owed
    ? withConflict(next, "payment/more-than-owed", String(payment.amountCents - owed), context)
    : next;
}
