import type { Actor } from "../access/rights";

/** What every command is applied with: which, when, and by whom. An area that needs more says so in its rules. */
export interface CommandContext {
  /** The work order or visit it is for. */
  aggregateId: string;
  commandId: string;
  /** ISO instant the command was given. */
  at: string;
  actor: Actor;
}
