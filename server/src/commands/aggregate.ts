import type { CommandContext } from "@mechanon/core";
import type { CommandOutcome } from "@mechanon/contract";
import type { Transaction } from "sequelize";
import type { Deps, Scope } from "../scope";
import type { RuleVersions } from "../rules/rulesCache";

/** What commands are sent to. */
export type AggregateKind = "workOrder" | "visit";

/** A command on its way, with the id that makes a retry safe and the time it was given. */
export interface SentCommand<Command> {
  id: string;
  at: string;
  command: Command;
}

/** What the pipeline shares of itself. */
export interface CommandDeps extends Pick<Deps, "db" | "rules" | "config"> {
  /** No customer is told: what is done was done before, as when the demo is loaded. */
  isQuiet?: boolean;
}

/** One run of commands to one aggregate, in one transaction on its lock. */
export interface Run {
  deps: CommandDeps;
  scope: Scope;
  /** The aggregate's. */
  id: string;
  transaction: Transaction;
  /** What was read when it began. */
  begun: Begun;
}

/** What `begin_commands` reads. */
export interface Begun extends RuleVersions {
  row: {
    revision: number;
    state: Readonly<Record<string, unknown>>;
    /** Of a work order: its number, and which way its ledger was written. */
    number?: number;
    ledgerVersion?: number;
  } | null;
  /** Of a work order: the states of the visits that serve it. */
  visits?: Readonly<Record<string, unknown>>[];
  /** Commands of this batch that were here before, by id. */
  known: Record<string, { outcome: CommandOutcome; isSame: boolean }>;
}

/** A command as the history keeps it. */
export interface CommandRecord {
  id: string;
  body: object;
  outcome: CommandOutcome;
  revision: number;
  at: string;
}

/**
 * What differs between work orders and visits; the pipeline does the rest.
 *
 * @typeParam More - what its commands are applied with, beyond what every command is.
 */
export interface Aggregate<State, Command extends { type: string }, More extends object> {
  kind: AggregateKind;
  /** The stored state as it is written now. */
  upgrade(stored: Readonly<Record<string, unknown>>): State;
  /**
   * Loads what a command needs. @returns the command for whoever it names by now, and what it is applied with.
   * @throws {Refusal} when what it names is not there.
   */
  prepare(run: Run, command: Command): Promise<{ command: Command; context: More }>;
  apply(state: State | null, command: Command, context: CommandContext & More): State;
  /** What only the server can see. @throws {Refusal} when it stands against the command. */
  check(run: Run, after: State, command: Command): Promise<void>;
  /** Marks among `after` that a command left. */
  conflictsOf(after: State, commandId: string): string[];
  /** Stores what came of the commands (null: all were refused), and their history. @returns The work order's number. */
  store(
    run: Run,
    before: State | null,
    after: State | null,
    revision: number,
    records: readonly CommandRecord[],
  ): Promise<number>;
  /** What a command that was applied sets going: written in its transaction, done by the queue. */
  effects(run: Run, before: State | null, after: State, command: Command): Promise<void>;
  /** The refusal that a violated constraint stands for; null: what is stored does not fit at all. */
  refusalFor(constraint: string | undefined): string | null;
}
