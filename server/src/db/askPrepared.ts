import { createHash } from "node:crypto";
import pg from "pg";
import { DatabaseError, type Sequelize, type Transaction } from "sequelize";

/**
 * Rows of a statement that each connection reads and plans once, however often it is asked: for what is asked with
 * every letter typed or every tap, where planning takes as long as looking. Sequelize has no named statements; the
 * connections are its own. A text must not be made of what was typed, since every text is kept as long as its connection.
 *
 * @param transaction - the one it belongs to; left out, it stands alone.
 * @throws ConnectionError, DatabaseError as Sequelize's own queries do.
 */
export async function askPrepared<Row extends object>(
  db: Sequelize,
  text: string,
  values: readonly unknown[],
  transaction?: Transaction,
): Promise<Row[]> {
  const connection = transaction
    ? connectionOf(transaction)
    : await db.connectionManager.getConnection({ type: "read" });
  try {
    if (!(connection instanceof pg.Client)) throw new TypeError("Sequelize is not on pg");
    return (await connection.query<Row>({ name: nameOf(text), text, values: [...values] })).rows;
  } catch (error) {
    throw error instanceof Error ? new DatabaseError(Object.assign(error, { sql: text })) : error;
  } finally {
    if (!transaction && connection) db.connectionManager.releaseConnection(connection);
  }
}

/** The connection a transaction runs on; Sequelize's types do not tell of it. */
function connectionOf(transaction: Transaction): object | undefined {
  return (transaction as Transaction & { connection?: object }).connection;
}

const names = new Map<string, string>();

/** A statement's name, of what it says. */
function nameOf(text: string): string {
  const known = names.get(text);
  if (known !== undefined) return known;
  const name = createHash("sha1").update(text).digest("hex");
  names.set(text, name);
  return name;
}
