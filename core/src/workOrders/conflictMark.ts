import type { CommandContext } from "./commandContext";
import type { Conflict, WorkOrderState } from "./state";

/** Adds a conflict mark; its id is made from the command's so that both sides make the same one. */
export function withConflict(
  state: WorkOrderState,
  code: Conflict["code"],
  detail: string,
  context: CommandContext,
): WorkOrderState {
  const mark: Conflict = {
    id: `${context.commandId.slice(0, -2)}${String(state.conflicts.length % 100).padStart(2, "0")}`,
    commandId: context.commandId,
    code,
    detail,
    at: context.at,
    settledAt: null,
    settledBy: null,
  };
  return { ...state, conflicts: [...state.conflicts, mark] };
}
