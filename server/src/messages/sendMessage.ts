import { mayMail, mayText, upgradeDetails, type CustomerDetails } from "@mechanon/core";
import type { Sequelize } from "sequelize";
import { z } from "zod";
import { askPrepared } from "../db/askPrepared";
import { paperPdf } from "../paper/paperPdf";
import { workOrderPaper } from "../paper/workOrderPaper";
import type { Deps } from "../scope";
import type { Outgoing } from "../outside/messenger/port";
import { Message } from "./model";
import { tellOfMessage } from "./tellOfMessage";

export const messagePayload = z.object({ businessId: z.string(), messageId: z.string() });

/**
 * Sends a queued message, unless its customer said no meanwhile.
 * @throws {OutsideError} when the messenger does not take it, so that the queue tries again.
 */
export async function sendMessage(
  { db, rules, outside }: Pick<Deps, "db" | "rules" | "outside">,
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
  const attachment = await attachmentOf({ db, rules }, message);
  try {
    await outside.messenger.send(keyOf(message), { channel, to, subject: subject ?? null, text, attachment });
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

/** The paper a mail brings along, as it is now. */
async function attachmentOf(
  deps: Pick<Deps, "db" | "rules">,
  { businessId, workOrderId, attaches }: Message,
): Promise<Outgoing["attachment"]> {
  if (!attaches || workOrderId === null) return null;
  const paper = await workOrderPaper(deps, { businessId }, workOrderId, attaches);
  return { name: paper.fileName, type: "application/pdf", base64: (await paperPdf(paper)).toString("base64") };
}

/** Under which the message service has it: once for each time somebody wants it sent. */
function keyOf({ businessId, id, attempt }: Message): string {
  return attempt === 0 ? `${businessId}/${id}` : `${businessId}/${id}/${attempt}`;
}

const WELCOME = `
  select c.details, stopped.reach is not null as "isStopped" from messages m
  left join customers c on c.business_id = m.business_id and c.id = kept_customer(m.business_id, m.customer_id)
  left join stopped_reaches stopped on stopped.business_id = m.business_id and stopped.reach = m.recipient
  where m.business_id = $1 and m.id = $2`;

/** Whether whoever it goes to said no since it was written: a customer by what is kept of them, others by STOP. */
async function isUnwelcome(db: Sequelize, { businessId, id, channel, kind }: Message): Promise<boolean> {
  // Words of a person answer somebody who wrote.
  if (kind === null) return false;
  const [found] = await askPrepared<{ details: CustomerDetails | null; isStopped: boolean }>(db, WELCOME, [
    businessId,
    id,
  ]);
  if (!found?.details) return found?.isStopped ?? false;
  const details = upgradeDetails(found.details);
  return channel === "text" ? !mayText(details) : !mayMail(details);
}
