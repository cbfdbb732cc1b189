import type { Sequelize } from "sequelize";
import { SETTLE_TASK } from "../externalRequests/reserveRequest";

export const MAINTENANCE_TASK = "maintenance";
/** A device that was away for longer has lost its answers; what it made is still found by its own id. */
const KEPT_KEYS_DAYS = 60;
const HISTORY_MONTHS_AHEAD = 12;

/** What has to be seen to every day: months ahead for the history, old keys and sessions, requests nobody asks about. */
export async function maintain(db: Sequelize): Promise<void> {
  await db.query(`select add_history_partitions(${HISTORY_MONTHS_AHEAD})`);
  await db.query(`delete from idempotency_keys where created_at < now() - interval '${KEPT_KEYS_DAYS} days'`);
  await db.query("delete from directory.sessions where expires_at < now()");
  await db.query(
    `select graphile_worker.add_job('${SETTLE_TASK}',
       json_build_object('businessId', business_id::text, 'requestId', id::text),
       job_key => 'settle/' || business_id::text || '/' || id::text)
     from external_requests where status = 'asked' and asked_at < now() - interval '1 minute'`,
  );
}
