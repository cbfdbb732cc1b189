import { hasRight } from "../access/rights";
import { redactLine, redactRules, type Viewer } from "../quoting/redact";
import type { MoneyRules } from "../quoting/moneyRules";
import type { Job } from "../quoting/slice";
import type { WorkOrderState } from "./state";

/** A work order as a person may see it: without the right to see cost, no cost, wage, markup or margin is in it. */
export function redactWorkOrder(state: WorkOrderState, viewer: Viewer): WorkOrderState {
  if (hasRight(viewer, "seeCost")) return state;
  return {
    ...state,
    rules: redactRules(state.rules),
    jobs: state.jobs.map((job) => redactJob(job, state.rules)),
    ...(state.takenOff
      ? {
          takenOff: state.takenOff.map((taken) =>
            taken.of === "job"
              ? { ...taken, job: redactJob(taken.job, state.rules) }
              : { ...taken, line: redactLine(taken.line, state.rules) },
          ),
        }
      : {}),
    orders: state.orders.map((order) => ({
      ...order,
      items: order.items.map((item) => ({ ...item, costCents: null })),
    })),
  };
}

function redactJob(job: Job, rules: MoneyRules): Job {
  const redacted = { ...job, lines: job.lines.map((line) => redactLine(line, rules)) };
  if (!job.others) return redacted;
  return {
    ...redacted,
    others: job.others.map((other) => ({ ...other, lines: other.lines.map((line) => redactLine(line, rules)) })),
  };
}
