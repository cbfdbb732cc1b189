import { v7 as uuid } from "uuid";
import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { Scope } from "../scope";

export const SEND_MESSAGE_TASK = "sendMessage";

const QUEUE = `
  with kept as (
    insert into messages (business_id, id, work_order_id, recipient, text, status)
    values ($1, $2, $3, $4, $5, 'waiting') on conflict do nothing returning id
  )
  select queue_job('${SEND_MESSAGE_TASK}',
    json_build_object('businessId', $1::text, 'messageId', kept.id::text), job_key => $1::text || '/' || kept.id::text)
  from kept`;

/** Puts a text in line to be sent, in the transaction of what it tells; a message with the same id goes out once. @returns Whether it was not in line before. */
export async function queueMessage(
  db: Sequelize,
  { businessId }: Pick<Scope, "businessId">,
  { id = uuid(), workOrderId, recipient, text }: { id?: string; workOrderId: string; recipient: string; text: string },
  transaction: Transaction,
): Promise<boolean> {
  const queued = await askPrepared(db, QUEUE, [businessId, id, workOrderId, recipient, text], transaction);
  return queued.length > 0;
}
