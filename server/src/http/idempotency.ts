import { createHash } from "node:crypto";
import type { Request } from "express";
import { QueryTypes, type Sequelize, type Transaction } from "sequelize";
import { z } from "zod";
import type { Scope } from "../scope";
import { AppError } from "../errors/appError";

/**
 * Does a thing once per `Idempotency-Key`: the same key again gets the answer of the first time.
 *
 * @param work - runs in the transaction that also keeps the answer.
 * @throws {AppError} `request/key-missing` without a key, `request/key-reused` for a key of another request.
 */
export async function once<T extends object>(
  db: Sequelize,
  scope: Scope,
  req: Request,
  work: (transaction: Transaction) => Promise<T>,
): Promise<T> {
  const key = z.uuid().safeParse(req.get("Idempotency-Key"));
  if (!key.success)
    throw new AppError("request/key-missing", "This needs an Idempotency-Key header with a UUID. Nothing was changed.");
  const hash = createHash("sha256")
    .update(`${req.method} ${req.path} ${JSON.stringify(req.body)}`)
    .digest("hex");
  return db.transaction(async (transaction) => {
    // Two requests with one key at once: the second waits here, then finds the answer.
    await db.query("select pg_advisory_xact_lock(hashtextextended($1, 0))", {
      bind: [`${scope.businessId}/${key.data}`],
      transaction,
    });
    const [kept] = await db.query<{ request_hash: string; answer: T }>(
      "select request_hash, answer from idempotency_keys where business_id = $1 and key = $2",
      {
        bind: [scope.businessId, key.data],
        type: QueryTypes.SELECT,
        transaction,
      },
    );
    if (kept && kept.request_hash !== hash)
      throw new AppError(
        "request/key-reused",
        "This Idempotency-Key was used for another request. Nothing was changed.",
      );
    if (kept) return kept.answer;
    const answer = await work(transaction);
    await db.query(
      "insert into idempotency_keys (business_id, key, request_hash, status, answer) values ($1, $2, $3, 201, $4)",
      {
        bind: [scope.businessId, key.data, hash, JSON.stringify(answer)],
        transaction,
      },
    );
    return answer;
  });
}
