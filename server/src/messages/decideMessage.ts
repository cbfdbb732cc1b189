import type { Sequelize, Transaction } from "sequelize";
import { AppError } from "../errors/appError";
import type { Scope } from "../scope";
import { Message } from "./model";
import { sendKept } from "./service";
import { tellOfMessage } from "./tellOfMessage";

/**
 * What somebody says of a message that waits for them; the same word again changes nothing.
 * @throws {AppError} `message/not-found`; `message/settled` where somebody else said otherwise first.
 */
export async function decideMessage(
  db: Sequelize,
  { businessId }: Scope,
  id: string,
  decision: "send" | "drop" | "done",
): Promise<void> {
  await db.transaction(async (transaction) => {
    const message = await findMessage(businessId, id, transaction);
    if (decision === "done") {
      if (!message.isIncoming || message.answeredAt) return;
      await message.update({ answeredAt: new Date() }, { transaction });
    } else {
      const [open, now] =
        decision === "send" ? ["waiting", ["waiting", "sent", "delivered"]] : ["dropped", ["dropped"]];
      if (now.includes(message.status)) return;
      if (message.isIncoming || (message.status !== "asks" && message.status !== "failed"))
        throw new AppError(
          "message/settled",
          "Somebody else saw to this message first. Nothing was changed; look at it once more.",
        );
      // The service has it under its key already: what did not arrive goes under another.
      const attempt = message.attempt + (message.status === "failed" ? 1 : 0);
      await message.update({ status: open as "waiting" | "dropped", lastError: null, attempt }, { transaction });
      if (decision === "send") await sendKept(db, businessId, id, transaction);
    }
    await tellOfMessage(db, message, transaction);
  });
}

/** @throws {AppError} `message/not-found`. */
export async function findMessage(businessId: string, id: string, transaction: Transaction): Promise<Message> {
  const message = await Message.findOne({ where: { businessId, id }, transaction, lock: transaction.LOCK.UPDATE });
  if (!message) throw new AppError("message/not-found", "This message is not kept here. Nothing was changed.");
  return message;
}
