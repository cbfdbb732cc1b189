import type { ClientBase } from "pg";
import { FORGET_PHOTOS_TASK } from "../photos/photos";
import { SETTLE_TASK } from "../externalRequests/reserveRequest";

export const MAINTENANCE_TASK = "maintenance";
/** A device that was away for longer has lost its answers; what it made is still found by its own id. */
const KEPT_KEYS_DAYS = 60;
const KEPT_DEVICES_DAYS = 365;
/** Whoever sends the rest later than that begins anew. */
const KEPT_PIECES_DAYS = 30;
/** Photos of a request that was never sent. */
const KEPT_UNSENT_DAYS = 1;
const KEPT_CODES_DAYS = 7;
const HISTORY_MONTHS_AHEAD = 12;

/** What has to be seen to every day: months ahead for the history, old keys, pieces of photos, sessions and devices, requests nobody asks about. */
export async function maintain(owner: ClientBase): Promise<void> {
  await owner.query(`select add_history_partitions(${HISTORY_MONTHS_AHEAD})`);
  await owner.query(`delete from idempotency_keys where created_at < now() - interval '${KEPT_KEYS_DAYS} days'`);
  await owner.query(`delete from photo_pieces where arrived_at < now() - interval '${KEPT_PIECES_DAYS} days'`);
  await owner.query(
    `with left_behind as (
       delete from customer_photos p where request_id is not null and arrived_at < now() - interval '${KEPT_UNSENT_DAYS} day'
         and not exists (select from requests r where r.business_id = p.business_id and r.id = p.request_id)
       returning business_id, photo_id
     ), gone as (
       delete from photos p using left_behind l where p.business_id = l.business_id and p.id = l.photo_id
       returning p.business_id, p.id
     )
     select graphile_worker.add_job('${FORGET_PHOTOS_TASK}', json_build_object('businessId', business_id::text,
       'keys', json_agg(business_id::text || '/' || id::text))) from gone group by business_id`,
  );
  await owner.query(`delete from customer_codes where created_at < now() - interval '${KEPT_CODES_DAYS} days'`);
  await owner.query("delete from directory.sessions where expires_at < now()");
  await owner.query(`delete from directory.devices where used_at < now() - interval '${KEPT_DEVICES_DAYS} days'`);
  await owner.query(
    `select graphile_worker.add_job('${SETTLE_TASK}',
       json_build_object('businessId', business_id::text, 'requestId', id::text),
       job_key => 'settle/' || business_id::text || '/' || id::text)
     from external_requests where status = 'asked' and asked_at < now() - interval '1 minute'`,
  );
}
