import { v7 as uuid } from "uuid";
import type { Transaction } from "sequelize";
import { Message } from "../db/models";
import type { Scope } from "../scope";

export const SEND_MESSAGE_TASK = "sendMessage";

/** Puts a text in line to be sent, in the transaction of what it tells; a message with the same id goes out once. */
export async function queueMessage(
  scope: Scope,
  message: { id?: string; workOrderId: string; recipient: string; text: string },
  transaction: Transaction,
): Promise<void> {
  const id = message.id ?? uuid();
  const { businessId } = scope;
  if (await Message.findOne({ where: { businessId, id }, transaction })) return;
  await Message.create(
    {
      businessId,
      id,
      workOrderId: message.workOrderId,
      recipient: message.recipient,
      text: message.text,
      status: "waiting",
      createdAt: new Date(),
    },
    { transaction },
  );
  await Message.sequelize?.query(
    "select graphile_worker.add_job($1, json_build_object('businessId', $2::text, 'messageId', $3::text), job_key => $3::text)",
    {
      bind: [SEND_MESSAGE_TASK, businessId, id],
      transaction,
    },
  );
}
