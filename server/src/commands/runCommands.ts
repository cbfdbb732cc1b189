import { setTimeout } from "node:timers/promises";
import { isDeepStrictEqual } from "node:util";
import { Refusal, isRefusalCode, type RefusalCode } from "@mechanon/core";
import type { CommandOutcome } from "@mechanon/contract";
import type { Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { cannotBeStored, faultOf, stoodInTheWay } from "../db/sqlState";
import type { Scope } from "../scope";
import type { Aggregate, Begun, CommandDeps, CommandRecord, Run, SentCommand } from "./aggregate";

/** A device's clock may run ahead; what it says is believed up to this. */
const MOST_AHEAD_MS = 5 * 60_000;
/** No device keeps a command for longer; what says it is older is of a clock that is wrong. */
const MOST_BEHIND_MS = 366 * 24 * 60 * 60_000;
/** How often a transaction that another one stood in the way of is tried. */
const MOST_TRIES = 6;
/** Those who stood in each other's way do not begin again in the same moment. */
const MOST_APART_MS = 30;

/** What became of commands, and of what they were sent to. */
export interface Ran<State> {
  /** One for each command, in their order. */
  outcomes: CommandOutcome[];
  before: State | null;
  after: State | null;
  /** 0: it was opened by these. */
  fromRevision: number;
  revision: number;
  number: number;
}

/**
 * Runs commands sent to one aggregate, each once however often it is sent: in one transaction on the aggregate's lock,
 * by the same functions the app ran, with the history, the lists, the ledger and the notice to others.
 *
 * They are stored together. Where that cannot be done they are stored one by one, each behind a savepoint, and the one
 * that cannot be stored is refused alone.
 *
 * @param within - what else is to be done in the same transaction, or not at all; what it throws undoes all.
 */
export async function runCommands<State, Command extends { type: string }, More extends object>(
  deps: CommandDeps,
  scope: Scope,
  aggregate: Aggregate<State, Command, More>,
  id: string,
  sent: readonly SentCommand<Command>[],
  within: (transaction: Transaction, ran: Pick<Ran<State>, "outcomes" | "fromRevision">) => Promise<void> = async () =>
    undefined,
): Promise<Ran<State>> {
  const attempt = (oneByOne: boolean): Promise<Ran<State>> =>
    deps.db.transaction(async (transaction) => {
      const ran = await new Batch(deps, scope, aggregate, id, transaction).run(sent, oneByOne);
      await within(transaction, ran);
      return ran;
    });
  for (let tries = 1; ; tries++) {
    try {
      return await attempt(false);
    } catch (error) {
      if (cannotBeStored(error)) return attempt(true);
      if (!stoodInTheWay(error) || tries === MOST_TRIES) throw error;
      await setTimeout(Math.random() * MOST_APART_MS * tries);
    }
  }
}

/** The commands of one transaction. */
class Batch<State, Command extends { type: string }, More extends object> {
  private state: State | null = null;
  private revision = 0;
  private number = 0;
  private current!: Run;
  private readonly done = new Map<string, { command: object; outcome: CommandOutcome }>();

  constructor(
    private readonly deps: CommandDeps,
    private readonly scope: Scope,
    private readonly aggregate: Aggregate<State, Command, More>,
    private readonly id: string,
    private readonly transaction: Transaction,
  ) {}

  async run(sent: readonly SentCommand<Command>[], oneByOne: boolean): Promise<Ran<State>> {
    const begun = await this.begin(sent);
    this.current = { deps: this.deps, scope: this.scope, id: this.id, transaction: this.transaction, begun };
    this.state = begun.row ? this.aggregate.upgrade(begun.row.state) : null;
    this.revision = begun.row?.revision ?? 0;
    this.number = begun.row?.number ?? 0;
    const [before, fromRevision] = [this.state, this.revision];
    const outcomes: CommandOutcome[] = [];
    let unsaved: Unsaved<State, Command> = { before, records: [], applied: [] };
    for (const each of sent) {
      const earlier = this.earlierAnswer(each);
      if (earlier) {
        outcomes.push(earlier);
        continue;
      }
      if (oneByOne) {
        outcomes.push(await this.storeAlone(each));
        continue;
      }
      const { record, applied } = await this.apply(each);
      unsaved = { ...unsaved, records: [...unsaved.records, record], applied: [...unsaved.applied, ...applied] };
      outcomes.push(record.outcome);
    }
    if (unsaved.records.length > 0) await this.store(unsaved);
    return { outcomes, before, after: this.state, fromRevision, revision: this.revision, number: this.number };
  }

  private async begin(sent: readonly SentCommand<Command>[]): Promise<Begun> {
    const bodies = sent.map(({ id, command }) => ({ id, body: command }));
    const [row] = await askPrepared<{ begun: Begun }>(
      this.deps.db,
      "select begin_commands($1, $2, $3, $4) as begun",
      [this.scope.businessId, this.aggregate.kind, this.id, JSON.stringify(bodies)],
      this.transaction,
    );
    if (!row) throw new Error("begin_commands answers one row");
    return row.begun;
  }

  /** What a command was answered that is here again. */
  private earlierAnswer({ id, command }: SentCommand<Command>): CommandOutcome | null {
    const known = this.current.begun.known[id];
    if (known) return known.isSame ? known.outcome : refused(id, "command/id-reused");
    const done = this.done.get(id);
    if (done) return isDeepStrictEqual(done.command, command) ? done.outcome : refused(id, "command/id-reused");
    return null;
  }

  private async apply(sent: SentCommand<Command>): Promise<Applied<State, Command>> {
    const at = believed(sent.at);
    const before = this.state;
    let outcome: CommandOutcome;
    const applied: Applied<State, Command>["applied"] = [];
    try {
      const { command, context } = await this.aggregate.prepare(this.current, sent.command);
      const { actor } = this.scope;
      const after = this.aggregate.apply(before, command, {
        ...context,
        aggregateId: this.id,
        commandId: sent.id,
        at,
        actor,
      });
      await this.aggregate.check(this.current, after, command);
      this.state = after;
      this.revision += 1;
      applied.push({ before, after, command });
      const conflicts = this.aggregate.conflictsOf(after, sent.id);
      outcome = { id: sent.id, outcome: "applied", refusal: null, conflicts };
    } catch (error) {
      const code: string | null = error instanceof Refusal ? String(error.code) : null;
      if (code === null || !isRefusalCode(code)) throw error;
      outcome = refused(sent.id, code);
    }
    this.done.set(sent.id, { command: sent.command, outcome });
    return { record: { id: sent.id, body: sent.command, outcome, revision: this.revision, at }, applied };
  }

  private async store({ before, records, applied }: Unsaved<State, Command>): Promise<void> {
    const after = applied.length > 0 ? this.state : null;
    const number = await this.aggregate.store(this.current, before, after, this.revision, records);
    if (after !== null) this.number = number;
    for (const each of applied) await this.aggregate.effects(this.current, each.before, each.after, each.command);
  }

  /** Behind a savepoint, so that one that cannot be stored takes nothing else along. */
  private async storeAlone(sent: SentCommand<Command>): Promise<CommandOutcome> {
    const [before, revision] = [this.state, this.revision];
    await this.transactionStep("savepoint");
    try {
      const { record, applied } = await this.apply(sent);
      await this.store({ before, records: [record], applied });
      await this.transactionStep("release");
      return record.outcome;
    } catch (error) {
      if (!cannotBeStored(error)) throw error;
      await this.transactionStep("rollback");
      this.state = before;
      this.revision = revision;
      const code = this.aggregate.refusalFor(faultOf(error)?.constraint) ?? "command/cannot-be-stored";
      if (!isRefusalCode(code)) throw error;
      const outcome = refused(sent.id, code);
      this.done.set(sent.id, { command: sent.command, outcome });
      await this.keepRefusal({ id: sent.id, body: sent.command, outcome, revision, at: believed(sent.at) });
      return outcome;
    }
  }

  /** In the history, if it can be kept even there; sent again, what cannot is refused for the same reason. */
  private async keepRefusal(record: CommandRecord): Promise<void> {
    await this.transactionStep("savepoint");
    try {
      await this.store({ before: this.state, records: [record], applied: [] });
      await this.transactionStep("release");
    } catch (error) {
      if (!cannotBeStored(error)) throw error;
      await this.transactionStep("rollback");
    }
  }

  private async transactionStep(step: keyof typeof STEPS): Promise<void> {
    await askPrepared(this.deps.db, STEPS[step], [], this.transaction);
  }
}

const STEPS = {
  savepoint: "savepoint one_command",
  release: "release savepoint one_command",
  rollback: "rollback to savepoint one_command",
};

interface Applied<State, Command> {
  record: CommandRecord;
  /** The command and what it changed; none when it was refused. */
  applied: { before: State | null; after: State; command: Command }[];
}
interface Unsaved<State, Command> extends Pick<Applied<State, Command>, "applied"> {
  /** The state before the first of them. */
  before: State | null;
  records: CommandRecord[];
}

function refused(id: string, refusal: RefusalCode): CommandOutcome {
  return { id, outcome: "refused", refusal, conflicts: [] };
}

/** When a command was given, as far as its device can be believed. */
function believed(at: string): string {
  const now = Date.now();
  const given = Math.max(now - MOST_BEHIND_MS, Math.min(Date.parse(at), now + MOST_AHEAD_MS));
  return new Date(given).toISOString();
}
