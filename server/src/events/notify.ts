import type { ChangeEvent } from "@mechanon/contract";
import type { Sequelize, Transaction } from "sequelize";

export const CHANNEL = "mechanon_changes";

/** Tells every server of a change; heard only once the transaction is committed. */
export async function notifyChange(
  db: Sequelize,
  businessId: string,
  change: ChangeEvent,
  transaction: Transaction,
): Promise<void> {
  await db.query("select pg_notify($1, $2)", {
    bind: [CHANNEL, JSON.stringify({ businessId, ...change })],
    transaction,
  });
}
