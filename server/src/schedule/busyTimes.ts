import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";

/** What keeps a mechanic, from a calendar of their own. */
export interface OwnTime {
  /** Of the event, with its start where it repeats. */
  key: string;
  title: string;
  startsAt: string;
  endsAt: string;
}

/** What keeps mechanics in a span of time. */
export function busyTimes(
  db: Sequelize,
  businessId: string,
  [from, to]: readonly [string, string],
  transaction?: Transaction,
): Promise<{ mechanicId: string; title: string; startsAt: string; endsAt: string }[]> {
  return askPrepared(
    db,
    `select person_id as "mechanicId", title, iso(starts_at) as "startsAt", iso(ends_at) as "endsAt"
     from busy_times where business_id = $1 and starts_at < $3 and ends_at > $2 order by starts_at limit 5000`,
    [businessId, from, to],
    transaction,
  );
}

/** Keeps what keeps a mechanic, in place of what was read before. */
export async function replaceBusyTimes(
  db: Sequelize,
  businessId: string,
  personId: string,
  times: readonly OwnTime[],
): Promise<void> {
  await db.transaction(async (transaction) => {
    await forgetBusyTimes(db, businessId, personId, transaction);
    await askPrepared(
      db,
      `insert into busy_times (business_id, person_id, event_key, title, starts_at, ends_at)
       select $1, $2, given.key, given.title, given."startsAt", given."endsAt"
       from jsonb_to_recordset($3::jsonb) as given (key text, title text, "startsAt" timestamptz, "endsAt" timestamptz)
       on conflict do nothing`,
      [businessId, personId, JSON.stringify(times)],
      transaction,
    );
  });
}

/** @returns how many there were. */
export async function forgetBusyTimes(
  db: Sequelize,
  businessId: string,
  personId: string,
  transaction?: Transaction,
): Promise<number> {
  const gone = await askPrepared(
    db,
    "delete from busy_times where business_id = $1 and person_id = $2 returning 1",
    [businessId, personId],
    transaction,
  );
  return gone.length;
}
