import type { z } from "zod";
import type { Right } from "../access/rights";
import type { CommandContext } from "./context";

/** A fact happened and is never refused; an intention can be. */
export type CommandKind = "fact" | "intention";

/** What has to be loaded before a command can be applied: the job library, the labor guide, the customer or the car it names, open charges. */
export type Need = "library" | "guide" | "customer" | "vehicle" | "charges";

/** Whose command it is: a person's device gives it, or the server itself after it dealt with the outside. */
export type CommandSource = "device" | "server";

/**
 * One command of an area: how it is read, what it changes, and what it takes.
 *
 * @typeParam Reads - the slices of the state it looks at.
 * @typeParam Writes - the slices it may change.
 * @typeParam Context - what it is applied with.
 */
export interface CommandRule<Reads, Writes, Schema extends z.ZodType<{ type: string }>, Context = CommandContext> {
  schema: Schema;
  kind: CommandKind;
  source: CommandSource;
  needs: readonly Need[];
  /** The rights it takes, which may depend on what it says and whom it is said of; none: anybody's to give. */
  rights: (command: z.output<Schema>, state: Reads) => readonly Right[];
  /** What changes; the state given is left as it is. @throws {Refusal} for an intention that does not fit. */
  apply(state: Reads, command: z.output<Schema>, context: Context): Partial<Writes>;
}

/** Anybody may. */
export const noRights = (): readonly Right[] => [];

/** Ties a rule to the slices it reads and writes, so that it cannot touch another area's. */
export function ruleFor<Reads, Writes, Context = CommandContext>() {
  return <Schema extends z.ZodType<{ type: string }>>(
    rule: Pick<CommandRule<Reads, Writes, Schema, Context>, "schema" | "kind" | "apply"> &
      Partial<CommandRule<Reads, Writes, Schema, Context>>,
  ): CommandRule<Reads, Writes, Schema, Context> => ({ source: "device", needs: [], rights: noRights, ...rule });
}
