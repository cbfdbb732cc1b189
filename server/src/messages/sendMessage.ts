import { z } from "zod";
import { Message } from "./model";
import { notifyChange } from "../events/notify";
import type { Deps } from "../scope";

export const messagePayload = z.object({ businessId: z.string(), messageId: z.string() });

/**
 * Sends a queued text.
 * @throws {OutsideError} when the messenger does not take it, so that the queue tries again.
 */
export async function sendMessage(
  { db, outside }: Pick<Deps, "db" | "outside">,
  { businessId, messageId: id }: z.infer<typeof messagePayload>,
): Promise<void> {
  const message = await Message.findOne({ where: { businessId, id } });
  if (!message || message.status === "sent") return;
  try {
    await outside.messenger.send(`${businessId}/${id}`, message.recipient, message.text);
  } catch (error) {
    await message.update({ lastError: "The message service does not answer; it is tried again." });
    throw error;
  }
  await db.transaction(async (transaction) => {
    await message.update({ status: "sent", sentAt: new Date(), lastError: null }, { transaction });
    if (message.workOrderId !== null)
      await notifyChange(db, businessId, { kind: "workOrder", id: message.workOrderId, revision: 0 }, transaction);
  });
}
