import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { ExternalRequest } from "./externalRequest";

export const SETTLE_TASK = "settleRequest";

const RESERVE = `
  with request as (
    insert into external_requests (business_id, id, kind, key, work_order_id, supplier_id, amount_cents, status, person_id)
    values ($1, $2, $3, $9, $4, $5, $6, 'asked', $7)
    -- One that never reached the other side is sent again under the same id.
    on conflict (business_id, id) do update set status = 'asked', settled_at = null, answer = null, asked_at = now()
    returning business_id, id, work_order_id
  ), former as (
    delete from external_request_lines where business_id = $1 and request_id = $2
  ), settling as (
    select queue_job('${SETTLE_TASK}', json_build_object('businessId', $1::text, 'requestId', $2::text),
      job_key => 'settle/' || $1::text || '/' || $2::text, run_at => now() + make_interval(secs => $8)) from request
  )
  select id, (select count(*) from settling) as queued from request`;

const RESERVE_LINES = `
  insert into external_request_lines
    (business_id, request_id, work_order_id, line_id, part_number, quantity, cost_cents, is_reserved)
  select $1, $2, $3, given."lineId", given."partNumber", given.quantity, given."costCents", true
  from jsonb_to_recordset($4::jsonb) as given ("lineId" uuid, "partNumber" text, quantity numeric, "costCents" bigint)`;

/**
 * Writes down what is about to leave for the outside, under the work order's lock, and queues what settles it should
 * its answer be lost.
 *
 * @param settleAfterMs - how long its own sender is left to hear the answer.
 */
export async function reserveRequest(
  db: Sequelize,
  businessId: string,
  request: Omit<ExternalRequest, "status" | "askedAt">,
  settleAfterMs: number,
  transaction: Transaction,
): Promise<void> {
  const { id, kind, key, workOrderId, supplierId, amountCents, personId, lines } = request;
  const values = [businessId, id, kind, workOrderId, supplierId, amountCents, personId, settleAfterMs / 1000, key];
  await askPrepared(db, RESERVE, values, transaction);
  if (lines.length > 0)
    await askPrepared(db, RESERVE_LINES, [businessId, id, workOrderId, JSON.stringify(lines)], transaction);
}

/** Whether an id is one of a command that was here: what is recorded under it later could not be told from that. */
export async function isCommandId(
  db: Sequelize,
  businessId: string,
  id: string,
  transaction: Transaction,
): Promise<boolean> {
  const found = await askPrepared(
    db,
    `select 1 from command_ids where business_id = $1 and id = $2
     union all select 1 from commands where business_id = $1 and id = $2`,
    [businessId, id],
    transaction,
  );
  return found.length > 0;
}
