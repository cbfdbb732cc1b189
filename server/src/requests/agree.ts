import type { AskedTime } from "@mechanon/core";
import { DateTime } from "luxon";
import type { Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import { notifyChange } from "../events/notify";
import { findLiveCustomer } from "../customers/service";
import { holdTimes, isTaken, letGo, startHolding, type Holder } from "../schedule/heldTimes";
import { requireMechanic } from "../schedule/requireMechanic";
import type { Deps, Scope } from "../scope";
import { findVehicle } from "../vehicles/service";
import { completeAgreement } from "./completeAgreement";
import { findRequest, type KeptRequest } from "./model";

export const COMPLETE_AGREEMENT_TASK = "completeAgreement";

/** Long enough for all that follows, on a slow database too. */
const HELD_MINUTES = 60;
/** After so long the queue does what a server that died left undone. */
const LEFT_UNDONE_SECONDS = 20;

export type AgreeDeps = Pick<Deps, "db" | "rules" | "outside" | "config">;

/** What somebody agrees to. */
export interface Agreement {
  /** Who it is; null: a new customer. */
  customerId: string | null;
  /** Which car; null: a new one, where anything is known of it. */
  vehicleId: string | null;
  /** Another time than was asked for; null: that one. */
  time: AskedTime | null;
}

/**
 * Agrees to a request: the first who does has it, and it becomes a work order and a visit. Agreed to once more by the same
 * person, it is finished where it stood.
 * @returns The work order.
 * @throws {AppError} `visit-request/not-found`; `visit-request/taken` with who has it; `visit-request/time-gone`.
 */
export async function agreeToRequest(deps: AgreeDeps, scope: Scope, id: string, agreed: Agreement): Promise<string> {
  const { db } = deps;
  const { businessId } = scope;
  if (agreed.time) await requireMechanic(businessId, agreed.time.mechanicId);
  await db.transaction(async (transaction) => {
    await startHolding(db, businessId, transaction);
    const request = await findRequest(db, businessId, id, transaction, "locked");
    if (request.status === "agreed" && request.takenBy === scope.actor.id) return;
    await requireOpen(deps, scope, request, transaction);
    await take(deps, scope, request, agreed, transaction);
  });
  return completeAgreement(deps, businessId, id);
}

/** Whoever offered other times may still agree to what was asked first. @throws {AppError} `visit-request/taken`. */
export async function requireOpen(
  { db }: Pick<Deps, "db">,
  { businessId }: Pick<Scope, "businessId">,
  { status, takenBy }: KeptRequest,
  transaction: Transaction,
): Promise<void> {
  if (status === "waiting" || status === "offered") return;
  const [person] = await askPrepared<{ name: string }>(
    db,
    "select name from people where business_id = $1 and id = $2",
    [businessId, takenBy],
    transaction,
  );
  throw new AppError(
    "visit-request/taken",
    status === "withdrawn"
      ? "Whoever asked took the request back. Nothing was changed."
      : `${person?.name ?? "The customer"} ${status === "declined" ? "declined" : "took"} this request already. Nothing was changed.`,
  );
}

async function take(
  { db }: AgreeDeps,
  scope: Scope,
  { id, asked, visitId, newCustomerId, offered }: KeptRequest,
  { customerId, vehicleId, time }: Agreement,
  transaction: Transaction,
): Promise<void> {
  const { businessId, actor } = scope;
  if (customerId !== null) await findLiveCustomer(scope, customerId, transaction);
  if (vehicleId !== null) await findVehicle(scope, vehicleId, transaction);
  const at = time ?? asked.time;
  // Times that were offered are held for the request itself.
  const holder: Holder = { businessId, personId: actor.id, heldFor: visitId };
  if (offered.length > 0) await letGo(db, businessId, [id], transaction);
  if (at.startsAt <= new Date().toISOString() || (await isTaken(db, holder, at, transaction)))
    throw new AppError(
      "visit-request/time-gone",
      "This time is over, or was taken meanwhile. Nothing was changed; pick another time, or offer others.",
    );
  const until = DateTime.utc().plus({ minutes: HELD_MINUTES }).toJSDate().toISOString();
  await holdTimes(db, holder, asked.place, [at], transaction, until);
  await askPrepared(
    db,
    `update requests set status = 'agreed', taken_by = $3, taken_at = now(), customer_id = $4, vehicle_id = $5,
       asked = jsonb_set(asked, '{time}', $6) where business_id = $1 and id = $2`,
    [businessId, id, actor.id, customerId ?? newCustomerId, vehicleId, JSON.stringify(at)],
    transaction,
  );
  await askPrepared(
    db,
    `select queue_job('${COMPLETE_AGREEMENT_TASK}', json_build_object('businessId', $1::text, 'requestId', $2::text),
       job_key => 'agreement/' || $2::text, run_at => now() + interval '${LEFT_UNDONE_SECONDS} seconds')`,
    [businessId, id],
    transaction,
  );
  await notifyChange(db, businessId, { kind: "request", id, revision: 0 }, transaction);
}
