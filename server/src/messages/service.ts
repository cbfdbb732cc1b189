import type { MessageKind, Paper } from "@mechanon/core";
import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { Scope } from "../scope";
import { tellOfMessage } from "./tellOfMessage";

export const SEND_MESSAGE_TASK = "sendMessage";

/** What a message is about; null: not about one. */
export interface MessageAbout {
  customerId: string | null;
  workOrderId: string | null;
  requestId?: string | null;
  visitId?: string | null;
}

/** A message as it is put in line. */
export interface NewMessage extends MessageAbout {
  /** One with the same id goes out once. */
  id: string;
  /** Null: of no kind the owner sets. */
  kind: MessageKind | null;
  channel: "text" | "mail";
  recipient: string;
  /** Of a mail. */
  subject: string | null;
  text: string;
  /** The paper a mail brings along. */
  attaches?: Paper | null;
  /** It waits for somebody's yes. */
  asksFirst?: boolean;
}

const QUEUE = `
  with kept as (
    insert into messages (business_id, id, work_order_id, customer_id, request_id, visit_id, kind, channel, recipient,
      subject, text, status, attaches)
    values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13) on conflict do nothing returning id, status
  )
  select case when kept.status = 'waiting' then queue_job('${SEND_MESSAGE_TASK}',
    json_build_object('businessId', $1::text, 'messageId', kept.id::text), job_key => $1::text || '/' || kept.id::text) end
  from kept`;
const SEND = `
  select queue_job('${SEND_MESSAGE_TASK}',
    json_build_object('businessId', $1::text, 'messageId', $2::text), job_key => $1::text || '/' || $2::text)`;

/** Puts a message in line to be sent, in the transaction of what it tells. @returns Whether it was not in line before. */
export async function queueMessage(
  db: Sequelize,
  { businessId }: Pick<Scope, "businessId">,
  message: NewMessage,
  transaction: Transaction,
): Promise<boolean> {
  const { id, workOrderId, customerId, requestId = null, visitId = null, kind, channel, recipient } = message;
  const status = message.asksFirst ? "asks" : "waiting";
  const about = [workOrderId, customerId, requestId, visitId, kind];
  const attaches = channel === "mail" ? (message.attaches ?? null) : null;
  const values = [businessId, id, ...about, channel, recipient, message.subject, message.text, status, attaches];
  const isNew = (await askPrepared(db, QUEUE, values, transaction)).length > 0;
  // One that goes out is told of as it does; one that asks first waits for somebody, who has to hear of it.
  if (isNew && message.asksFirst) await tellOfMessage(db, { businessId, id, workOrderId }, transaction);
  return isNew;
}

/** Puts a message that is kept in line to be sent. */
export async function sendKept(db: Sequelize, businessId: string, id: string, transaction: Transaction): Promise<void> {
  await askPrepared(db, SEND, [businessId, id], transaction);
}
