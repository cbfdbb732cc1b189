import { mayMail, mayText, upgradeDetails } from "@mechanon/core";
import type { Sequelize } from "sequelize";
import { z } from "zod";
import { CustomerRow } from "../customers/model";
import { askPrepared } from "../db/askPrepared";
import type { Deps } from "../scope";
import { Message } from "./model";
import { tellOfMessage } from "./tellOfMessage";

export const messagePayload = z.object({ businessId: z.string(), messageId: z.string() });

/**
 * Sends a queued message, unless its customer said no meanwhile.
 * @throws {OutsideError} when the messenger does not take it, so that the queue tries again.
 */
export async function sendMessage(
  { db, outside }: Pick<Deps, "db" | "outside">,
  { businessId, messageId: id }: z.infer<typeof messagePayload>,
): Promise<void> {
  const message = await Message.findOne({ where: { businessId, id } });
  if (message?.status !== "waiting" || message.channel === "page") return;
  if (await isUnwelcome(db, message)) {
    await db.transaction(async (transaction) => {
      await message.update({ status: "stopped", lastError: null }, { transaction });
      await tellOfMessage(db, message, transaction);
    });
    return;
  }
  const { recipient: to, subject, text } = message;
  const channel = message.channel === "mail" ? "mail" : "text";
  try {
    await outside.messenger.send(keyOf(message), { channel, to, subject: subject ?? null, text });
  } catch (error) {
    await message.update({ lastError: "The message service does not answer; it is tried again." });
    throw error;
  }
  await db.transaction(async (transaction) => {
    // What became of it may have been told already.
    const [sent] = await Message.update(
      { status: "sent", sentAt: new Date(), lastError: null },
      { where: { businessId, id, status: "waiting" }, transaction },
    );
    if (sent > 0) await tellOfMessage(db, message, transaction);
  });
}

/** Under which the message service has it: once for each time somebody wants it sent. */
function keyOf({ businessId, id, attempt }: Message): string {
  return attempt === 0 ? `${businessId}/${id}` : `${businessId}/${id}/${attempt}`;
}

/** Whether whoever it goes to said no since it was written. */
async function isUnwelcome(
  db: Sequelize,
  { businessId, customerId, channel, kind, recipient }: Message,
): Promise<boolean> {
  // Words of a person answer somebody who wrote.
  if (kind === null) return false;
  if (!customerId) return isStopped(db, businessId, recipient);
  const customer = await CustomerRow.findOne({ where: { businessId, id: customerId } });
  if (!customer) return false;
  const details = upgradeDetails(customer.details);
  return channel === "text" ? !mayText(details) : !mayMail(details);
}

async function isStopped(db: Sequelize, businessId: string, reach: string): Promise<boolean> {
  const ask = "select 1 from stopped_reaches where business_id = $1 and reach = $2";
  return (await askPrepared(db, ask, [businessId, reach])).length > 0;
}
