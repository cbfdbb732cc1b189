import type { CommandContext } from "../commands/context";
import { Refusal } from "../commands/refusal";
import type { CommandRule } from "../commands/rule";
import { booked, visitRules, type VisitCommand } from "./commands";
import type { VisitRefusal } from "./refusals";
import type { VisitState } from "./state";

/** When and about which visit a command is. */
export type VisitCommandContext = Pick<CommandContext, "aggregateId" | "at">;

/**
 * Applies a command to a visit.
 *
 * @param state - null before it is booked.
 * @returns The changed visit; the one given is left as it is.
 * @throws {Refusal} when an intention does not fit. Facts (set off, arrived, left) are never refused.
 */
export function applyVisitCommand(
  state: VisitState | null,
  command: VisitCommand,
  context: VisitCommandContext,
): VisitState {
  if (command.type === "bookVisit") {
    if (state) throw new Refusal<VisitRefusal>("visit/exists");
    return booked(command, context);
  }
  if (!state) throw new Refusal<VisitRefusal>("visit/not-found");
  // The table has one rule for each type, and each takes the command of its own.
  const rule = visitRules[command.type] as CommandRule<VisitState, VisitState, never>;
  return { ...state, ...rule.apply(state, command as never, context as CommandContext) };
}
