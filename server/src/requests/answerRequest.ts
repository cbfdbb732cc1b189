import type { AskedTime } from "@mechanon/core";
import { DateTime } from "luxon";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import { notifyChange } from "../events/notify";
import { holdTimes, isTaken, letGo, startHolding, type Holder } from "../schedule/heldTimes";
import { requireMechanic } from "../schedule/requireMechanic";
import type { Scope } from "../scope";
import type { CommandDeps } from "../commands/aggregate";
import { requireOpen } from "./agree";
import { findRequest } from "./model";
import { tellAsker } from "./tellAsker";

/**
 * Offers other times, held until the customer picks one or the owner's hours are over; offered again, the new ones count.
 * @throws {AppError} `visit-request/taken`, `visit-request/time-gone`, `mechanic/not-found`.
 */
export async function offerTimes(
  deps: CommandDeps,
  scope: Scope,
  id: string,
  { times, words }: { times: readonly AskedTime[]; words: string },
): Promise<void> {
  const { db, rules } = deps;
  const { businessId, actor } = scope;
  for (const { mechanicId } of times) await requireMechanic(businessId, mechanicId);
  const { settings } = await rules.now(businessId);
  await db.transaction(async (transaction) => {
    await startHolding(db, businessId, transaction);
    const request = await findRequest(db, businessId, id, transaction, "locked");
    await requireOpen(deps, scope, request, transaction);
    const holder: Holder = { businessId, personId: actor.id, heldFor: id };
    await letGo(db, businessId, [request.visitId], transaction);
    for (const time of times)
      if (time.startsAt <= new Date().toISOString() || (await isTaken(db, holder, time, transaction)))
        throw new AppError(
          "visit-request/time-gone",
          "One of these times was taken meanwhile. Nothing was sent; pick another.",
        );
    const until = DateTime.utc().plus({ hours: settings.requests.holdHours }).toJSDate().toISOString();
    await holdTimes(db, holder, request.asked.place, times, transaction, until);
    await askPrepared(
      db,
      `update requests set status = 'offered', taken_by = $3, taken_at = now(), offered = $4, words = $5
       where business_id = $1 and id = $2`,
      [businessId, id, actor.id, JSON.stringify(times), words],
      transaction,
    );
    await notifyChange(db, businessId, { kind: "request", id, revision: 0 }, transaction);
    const key = `${id}/${JSON.stringify(times)}`;
    await tellAsker(deps, businessId, request, { kind: "offered", words, key }, transaction);
  });
}

/** Declines a request, with a word. The same again changes nothing. @throws {AppError} `visit-request/taken`. */
export async function declineRequest(deps: CommandDeps, scope: Scope, id: string, words: string): Promise<void> {
  const { db } = deps;
  const { businessId, actor } = scope;
  await db.transaction(async (transaction) => {
    const request = await findRequest(db, businessId, id, transaction, "locked");
    if (request.status === "declined" && request.takenBy === actor.id) return;
    await requireOpen(deps, scope, request, transaction);
    await letGo(db, businessId, [id, request.visitId], transaction);
    await askPrepared(
      db,
      `update requests set status = 'declined', taken_by = $3, taken_at = now(), words = $4
       where business_id = $1 and id = $2`,
      [businessId, id, actor.id, words],
      transaction,
    );
    await notifyChange(db, businessId, { kind: "request", id, revision: 0 }, transaction);
    await tellAsker(deps, businessId, request, { kind: "declined", words }, transaction);
  });
}

/** Whoever asked takes it back. The same again changes nothing. @throws {AppError} `visit-request/taken`. */
export async function withdrawRequest(deps: CommandDeps, businessId: string, id: string): Promise<void> {
  const { db } = deps;
  await db.transaction(async (transaction) => {
    const request = await findRequest(db, businessId, id, transaction, "locked");
    if (request.status === "withdrawn") return;
    await requireOpen(deps, { businessId }, request, transaction);
    await letGo(db, businessId, [id, request.visitId], transaction);
    await askPrepared(
      db,
      "update requests set status = 'withdrawn', taken_at = now() where business_id = $1 and id = $2",
      [businessId, id],
      transaction,
    );
    await notifyChange(db, businessId, { kind: "request", id, revision: 0 }, transaction);
  });
}
