import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { FoundPage } from "./findPage";

/** Opened again within so much, it is the same look. */
const SAME_LOOK = "1 minute";

/** Notes that a customer opened their page, for whoever waits to hear; a sheet that stands open is told at once. */
export async function noteOpened(db: Sequelize, { token, businessId, workOrderId }: FoundPage): Promise<void> {
  await askPrepared(
    db,
    `with noted as (
       update directory.page_links set last_opened_at = now(), first_opened_at = coalesce(first_opened_at, now())
       where business_id = $1 and token = $2
         and (last_opened_at is null or last_opened_at < now() - interval '${SAME_LOOK}')
       returning 1)
     select pg_notify('mechanon_changes', json_build_object('businessId', $1::text, 'kind', 'workOrder', 'id', $3::text,
       'revision', 0, 'isListed', false)::text)
     from noted where $3 is not null`,
    [businessId, token, workOrderId],
  );
}
