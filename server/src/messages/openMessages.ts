import type { Message as MessageView, OpenMessage } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { Scope } from "../scope";

/** A message as the wire shows it, as SQL of a row `m`. */
export const MESSAGE_JSON = `json_build_object('id', m.id, 'kind', m.kind, 'channel', m.channel, 'isIncoming', m.is_incoming,
  'recipient', m.recipient, 'subject', m.subject, 'text', m.text, 'status', m.status, 'at', iso(m.created_at),
  'lastError', m.last_error, 'answeredAt', iso(m.answered_at))`;

const OPEN = `
  select ${MESSAGE_JSON} as message, m.work_order_id as "workOrderId", c.id as "customerId", c.name as "customerName"
  from messages m
  left join customers c on c.business_id = m.business_id and c.id = kept_customer(m.business_id, m.customer_id)
  where m.business_id = $1 and (m.status = 'asks' or m.status = 'failed' or m.is_incoming and m.answered_at is null)
    and m.created_at > now() - interval '60 days'
  order by m.created_at limit 200`;

/** Messages that wait for somebody of ours, the oldest first. */
export async function openMessages(db: Sequelize, { businessId }: Scope): Promise<OpenMessage[]> {
  const rows = await askPrepared<Omit<OpenMessage, keyof MessageView> & { message: MessageView }>(db, OPEN, [
    businessId,
  ]);
  return rows.map(({ message, ...of }) => ({ ...message, ...of }));
}
