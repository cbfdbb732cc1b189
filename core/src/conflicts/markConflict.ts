import type { CommandContext } from "../commands/context";
import type { Conflict } from "./slice";

/** Adds a conflict mark; its id is made from the command's so that both sides make the same one. */
export function markConflict(
  conflicts: readonly Conflict[],
  code: string,
  detail: string,
  { commandId, at }: Pick<CommandContext, "commandId" | "at">,
): Conflict[] {
  const id = `${commandId.slice(0, -2)}${String(conflicts.length % 100).padStart(2, "0")}`;
  return [...conflicts, { id, commandId, code, detail, at, settledAt: null, settledBy: null }];
}
