import { timingSafeEqual } from "node:crypto";
import { readPhone, replyMeaning, upgradeDetails, type CustomerDetails } from "@mechanon/core";
import type { MessageNews } from "@mechanon/contract";
import type { Sequelize, Transaction } from "sequelize";
import { CustomerRow } from "../customers/model";
import { askPrepared } from "../db/askPrepared";
import { ofBusiness } from "../db/ofBusiness";
import { AppError } from "../errors/appError";
import type { Deps } from "../scope";
import { Message } from "./model";
import { tellOfMessage } from "./tellOfMessage";

/** @throws {AppError} `messenger/not-known` for whoever does not have the secret. */
export function requireMessenger(given: string | undefined, secret: string | null): void {
  const sent = Buffer.from(given ?? "");
  const known = Buffer.from(`Bearer ${secret ?? ""}`);
  if (secret === null || sent.length !== known.length || !timingSafeEqual(sent, known))
    throw new AppError("messenger/not-known", "Only the message service may tell this. Nothing was changed.");
}

/** Takes what the message service tells: what became of a message, or a reply to one. Told twice, it changes nothing. */
export async function hearMessenger({ db, log }: Pick<Deps, "db" | "log">, news: MessageNews): Promise<void> {
  const [businessId = "", messageId = ""] = (news.what === "reply" ? news.toKey : news.key).split("/");
  if (!UUID.test(businessId) || !UUID.test(messageId)) return;
  await ofBusiness(businessId, () =>
    db.transaction(async (transaction) => {
      const message = await Message.findOne({ where: { businessId, id: messageId }, transaction });
      if (!message) return log.warn({ what: news.what }, "news of a message that is not kept here");
      if (news.what === "reply") return takeReply(db, message, news, transaction);
      if (message.status === "delivered") return;
      await message.update(
        news.what === "delivered"
          ? { status: "delivered", deliveredAt: new Date(), sentAt: message.sentAt ?? new Date(), lastError: null }
          : { status: "failed", lastError: news.why },
        { transaction },
      );
      await tellOfMessage(db, message, transaction);
    }),
  );
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

type Reply = Extract<MessageNews, { what: "reply" }>;

/** Keeps a reply where the message stands that it answers; from another number than that one's, where that number's does. */
async function takeReply(db: Sequelize, answered: Message, reply: Reply, transaction: Transaction): Promise<void> {
  const { businessId } = answered;
  const from = reply.channel === "text" ? (readPhone(reply.from)?.number ?? reply.from) : reply.from.toLowerCase();
  const isSame = from === answered.recipient.toLowerCase();
  const last = isSame ? answered : await lastTo(businessId, from, transaction);
  // What a mechanic answers to a sheet is ours: kept with the work order it would stand on its customer's page.
  const before = last?.kind === "sheet" ? null : last;
  const customerId = before?.customerId ?? (await customerReachedAt(db, businessId, reply.channel, from, transaction));
  const [kept, isNew] = await Message.findOrCreate({
    where: { businessId, id: reply.id },
    defaults: {
      businessId,
      id: reply.id,
      workOrderId: before?.workOrderId ?? null,
      requestId: before?.requestId ?? null,
      customerId,
      channel: reply.channel,
      isIncoming: true,
      recipient: from,
      text: reply.text.trim(),
      status: "received",
    },
    transaction,
  });
  if (!isNew) return;
  const meaning = reply.channel === "text" ? replyMeaning(reply.text) : "words";
  if (meaning !== "words") {
    await keepConsent(db, businessId, from, meaning === "start", reply, transaction);
    // Nobody has to answer it.
    await kept.update({ answeredAt: new Date() }, { transaction });
  }
  await tellOfMessage(db, kept, transaction);
}

function lastTo(businessId: string, recipient: string, transaction: Transaction): Promise<Message | null> {
  return Message.findOne({
    where: { businessId, recipient, isIncoming: false },
    order: [["createdAt", "DESC"]],
    transaction,
  });
}

const REACHED = `
  select distinct kept_customer(business_id, customer_id) as id from customer_keys
  where business_id = $1 and kind = $2 and key = $3`;

/** All who have a phone or mail. */
async function reachedAt(
  db: Sequelize,
  businessId: string,
  channel: Reply["channel"],
  from: string,
  transaction: Transaction,
): Promise<string[]> {
  const [kind, key] = channel === "text" ? ["phone", from.replace(/\D/g, "")] : ["email", from];
  const rows = await askPrepared<{ id: string }>(db, REACHED, [businessId, kind, key], transaction);
  return rows.map(({ id }) => id);
}

/** The one customer who has a phone or mail; null: nobody, or several. */
async function customerReachedAt(...asked: Parameters<typeof reachedAt>): Promise<string | null> {
  const [id, ...others] = await reachedAt(...asked);
  return others.length === 0 ? (id ?? null) : null;
}

/** Whoever has this number is texted no more, or again: at once, whatever waits. */
async function keepConsent(
  db: Sequelize,
  businessId: string,
  from: string,
  given: boolean,
  { at, text }: Reply,
  transaction: Transaction,
): Promise<void> {
  for (const id of await reachedAt(db, businessId, "text", from, transaction)) {
    const customer = await CustomerRow.findOne({
      where: { businessId, id },
      transaction,
      lock: transaction.LOCK.UPDATE,
    });
    if (!customer) continue;
    const textConsent: CustomerDetails["textConsent"] = { given, at, how: `Texted “${text.trim().slice(0, 40)}”` };
    await customer.update(
      { details: { ...upgradeDetails(customer.details), textConsent }, version: customer.version + 1 },
      { transaction },
    );
  }
  await askPrepared(
    db,
    given
      ? "delete from stopped_reaches where business_id = $1 and reach = $2"
      : "insert into stopped_reaches (business_id, reach) values ($1, $2) on conflict do nothing",
    [businessId, from],
    transaction,
  );
  if (!given)
    await askPrepared(
      db,
      `update messages set status = 'stopped' where business_id = $1 and recipient = $2 and channel = 'text'
         and status in ('asks', 'waiting') and not is_incoming`,
      [businessId, from],
      transaction,
    );
}
