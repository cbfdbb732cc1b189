import type { VisitCommand, VisitState } from "@mechanon/core";
import type { CommandDeps, SentCommand } from "../commands/aggregate";
import { runCommands, type Ran } from "../commands/runCommands";
import type { Scope } from "../scope";
import { visitAggregate } from "./visitAggregate";

/** Runs commands sent to a visit, and brings the work orders it serves along. @see runCommands */
export function runVisitCommands(
  deps: CommandDeps,
  scope: Scope,
  visitId: string,
  sent: readonly SentCommand<VisitCommand>[],
): Promise<Ran<VisitState>> {
  return runCommands(deps, scope, visitAggregate, visitId, sent);
}
