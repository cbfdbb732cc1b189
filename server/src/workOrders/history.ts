import { isDeepStrictEqual } from "node:util";
import type { CommandOutcome } from "@mechanon/contract";
import type { Sequelize, Transaction } from "sequelize";
import { CommandRow } from "../db/models";
import { AppError } from "../http/errors";
import type { Scope } from "../scope";

/** A device's clock may run ahead; what it says is believed up to this. */
const MOST_AHEAD_MS = 5 * 60_000;

interface Sent {
  id: string;
  at: string;
  command: object;
}

/**
 * Runs a command once: takes the aggregate's lock, answers a command that was there before with what it was answered
 * then, and keeps a new one in the history.
 *
 * @param apply - does the work; gives the outcome and the revision it led to.
 * @throws {AppError} `command/id-reused` when the id belongs to another command.
 */
export async function runOnce(
  db: Sequelize,
  scope: Scope,
  aggregate: { kind: "workOrder" | "visit"; id: string },
  sent: Sent,
  apply: (transaction: Transaction, at: string) => Promise<{ outcome: CommandOutcome; revision: number }>,
): Promise<CommandOutcome> {
  const { businessId } = scope;
  return db.transaction(async (transaction) => {
    // Also holds for an aggregate that is only now made, where there is no row to lock yet.
    await db.query("select pg_advisory_xact_lock(hashtextextended($1, 0))", {
      bind: [`${businessId}/${aggregate.id}`],
      transaction,
    });
    const before = await CommandRow.findOne({ where: { businessId, id: sent.id }, transaction });
    if (before) {
      if (
        before.aggregateId !== aggregate.id ||
        !isDeepStrictEqual(before.body, JSON.parse(JSON.stringify(sent.command)))
      )
        throw new AppError("command/id-reused", "This command id was used for something else. Nothing was changed.");
      return before.outcome;
    }
    const at = new Date(Math.min(Date.parse(sent.at), Date.now() + MOST_AHEAD_MS)).toISOString();
    const { outcome, revision } = await apply(transaction, at);
    await CommandRow.create(
      {
        businessId,
        id: sent.id,
        aggregate: aggregate.kind,
        aggregateId: aggregate.id,
        revision,
        body: sent.command,
        outcome,
        personId: scope.actor.id,
        givenAt: new Date(at),
      },
      { transaction },
    );
    return outcome;
  });
}
