import { refusalForRight } from "../access/refusals";
import { hasRight } from "../access/rights";
import { Refusal } from "../commands/refusal";
import type { CommandRule } from "../commands/rule";
import { withTolerated } from "../approvals/withTolerated";
import { requireOrderedStays } from "../sourcing/orderedStays";
import { rightsFor, workOrderRules, type WorkOrderCommand } from "./commands";
import type { WorkOrderContext } from "./context";
import { opened } from "./openWorkOrder";
import type { WorkOrderRefusal } from "./refusals";
import type { WorkOrderState } from "./state";

/**
 * Applies a command to a work order; the same function on a phone and on the server.
 *
 * @param state - null before it is opened.
 * @returns The changed work order, `conflicts` with a mark for each fact that no longer fit. The one given is left as
 *   it is; slices that did not change are the same objects.
 * @throws {Refusal} when an intention does not fit, or takes a right the person does not have.
 */
export function applyCommand(
  state: WorkOrderState | null,
  command: WorkOrderCommand,
  context: WorkOrderContext,
): WorkOrderState {
  if (command.type === "openWorkOrder") {
    if (state) throw new Refusal<WorkOrderRefusal>("work-order/exists");
    return opened(command, context);
  }
  if (!state) throw new Refusal<WorkOrderRefusal>("work-order/not-found");
  requireRights(state, command, context);
  // The table has one rule for each type, and each takes the command of its own.
  const rule = workOrderRules[command.type] as CommandRule<WorkOrderState, WorkOrderState, never, WorkOrderContext>;
  const changes = rule.apply(state, command as never, context);
  if (Object.keys(changes).length === 0) return state;
  const after = { ...state, ...changes };
  if (after.jobs === state.jobs) return after;
  requireOrderedStays(state, after);
  return withTolerated(state, after, context.at);
}

function requireRights(state: WorkOrderState, command: WorkOrderCommand, { actor }: WorkOrderContext): void {
  const missing = rightsFor(command, state).find((right) => !hasRight(actor, right));
  if (missing !== undefined) throw new Refusal(refusalForRight(missing));
}
