import type { BusyTime, Spot, TimeOffer } from "@mechanon/core";
import { DateTime } from "luxon";
import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";

/** An offered or picked time is one person's for so long. */
const HELD_MINUTES = 10;

/** For what, and by whom, times are held. */
export interface Holder {
  businessId: string;
  personId: string;
  /** The call, work order or visit. */
  heldFor: string;
}

/** One at a time holds in a business, so that two never get one time; what expired is gone. */
export async function startHolding(db: Sequelize, businessId: string, transaction: Transaction): Promise<void> {
  await askPrepared(db, "select pg_advisory_xact_lock(hashtextextended('holds ' || $1, 0))", [businessId], transaction);
  await askPrepared(
    db,
    "delete from held_times where business_id = $1 and expires_at <= now()",
    [businessId],
    transaction,
  );
}

/** Times held for others than one, from an instant on: nobody is offered them. */
export async function heldForOthers(
  db: Sequelize,
  { businessId, heldFor }: Holder,
  transaction: Transaction,
): Promise<BusyTime[]> {
  const rows = await askPrepared<{ mechanicId: string; startsAt: Date; endsAt: Date } & Spot>(
    db,
    `select mechanic_id as "mechanicId", starts_at as "startsAt", ends_at as "endsAt", latitude, longitude
     from held_times where business_id = $1 and held_for <> $2 and expires_at > now()`,
    [businessId, heldFor],
    transaction,
  );
  return rows.map(({ mechanicId, startsAt, endsAt, latitude, longitude }) => ({
    mechanicId,
    startsAt: startsAt.toISOString(),
    endsAt: endsAt.toISOString(),
    place: latitude === null ? null : { latitude, longitude },
  }));
}

/**
 * Holds times in place of those held for the same before, for ten minutes where nothing else is said.
 * @returns until when.
 */
export async function holdTimes(
  db: Sequelize,
  { businessId, personId, heldFor }: Holder,
  place: Spot,
  times: readonly Pick<TimeOffer, "mechanicId" | "startsAt" | "endsAt">[],
  transaction: Transaction,
  until = DateTime.utc().plus({ minutes: HELD_MINUTES }).toJSDate().toISOString(),
): Promise<string> {
  await letGo(db, businessId, [heldFor], transaction);
  await askPrepared(
    db,
    `insert into held_times (business_id, held_for, person_id, mechanic_id, starts_at, ends_at, latitude, longitude, expires_at)
     select $1, $2, $3, given."mechanicId", given."startsAt", given."endsAt", $5, $6, $7
     from jsonb_to_recordset($4::jsonb) as given ("mechanicId" uuid, "startsAt" timestamptz, "endsAt" timestamptz)`,
    [businessId, heldFor, personId, JSON.stringify(times), place.latitude, place.longitude, until],
    transaction,
  );
  return until;
}

/** Lets times go that were held for these: what they were held for is booked, or given up. */
export async function letGo(
  db: Sequelize,
  businessId: string,
  heldFor: readonly string[],
  transaction?: Transaction,
): Promise<void> {
  await askPrepared(
    db,
    "delete from held_times where business_id = $1 and held_for = any($2::uuid[])",
    [businessId, heldFor],
    transaction,
  );
}

/** Whether somebody else holds or has a visit in a time. */
export async function isTaken(
  db: Sequelize,
  { businessId, heldFor }: Holder,
  { mechanicId, startsAt, endsAt }: Pick<TimeOffer, "mechanicId" | "startsAt" | "endsAt">,
  transaction: Transaction,
): Promise<boolean> {
  const found = await askPrepared(
    db,
    `select 1 from held_times where business_id = $1 and held_for <> $2 and mechanic_id = $3 and expires_at > now()
       and tstzrange(starts_at, ends_at) && tstzrange($4, $5)
     union all
     select 1 from visits where business_id = $1 and id <> $2 and mechanic_id = $3 and not cancelled and left_at is null
       and tstzrange(starts_at, ends_at) && tstzrange($4, $5) limit 1`,
    [businessId, heldFor, mechanicId, startsAt, endsAt],
    transaction,
  );
  return found.length > 0;
}
