import { mayMail, mayText, messageWays, upgradeDetails, type MessageWay } from "@mechanon/core";
import type { Transaction } from "sequelize";
import { findCustomer } from "../customers/service";
import { AppError } from "../errors/appError";
import { findRequest } from "../requests/model";
import type { Deps, Scope } from "../scope";
import { findWorkOrder } from "../workOrders/service";
import { findMessage } from "./decideMessage";
import { Message } from "./model";
import { queueMessage } from "./service";
import { tellOfMessage } from "./tellOfMessage";

/**
 * Writes to the customer of a work order: where the reply came from that it answers, else the way they want.
 * @throws {AppError} `message/no-way` where they can be reached by neither, `message/refused` where they want none.
 */
export async function writeMessage(
  { db }: Pick<Deps, "db">,
  scope: Scope,
  workOrderId: string,
  { messageId, text, answers }: { messageId: string; text: string; answers: string | null },
): Promise<void> {
  const { customerId } = await findWorkOrder(scope, workOrderId);
  await db.transaction(async (transaction) => {
    const reply = answers === null ? null : await findMessage(scope.businessId, answers, transaction);
    const way = reply && isReachable(reply) ? wayOf(reply) : await wayTo(scope, customerId, transaction);
    await queueMessage(
      db,
      scope,
      { id: messageId, workOrderId, customerId, kind: null, ...way, ...wordsOf(scope, way, text) },
      transaction,
    );
    await answered(db, scope.businessId, reply, workOrderId, transaction);
  });
}

/** Answers a reply where it came from. @throws {AppError} `message/not-found`. */
export async function answerReply(
  { db }: Pick<Deps, "db">,
  scope: Scope,
  replyId: string,
  { messageId, text }: { messageId: string; text: string },
): Promise<void> {
  await db.transaction(async (transaction) => {
    const reply = await findMessage(scope.businessId, replyId, transaction);
    const { customerId = null, workOrderId, requestId = null } = reply;
    const way = isReachable(reply) ? wayOf(reply) : await wayToWriter(db, scope, reply, transaction);
    await queueMessage(
      db,
      scope,
      { id: messageId, workOrderId, customerId, requestId, kind: null, ...way, ...wordsOf(scope, way, text) },
      transaction,
    );
    await answered(db, scope.businessId, reply, workOrderId, transaction);
  });
}

/** What was written on a page came from no phone and no mail. */
function isReachable({ channel }: Message): boolean {
  return channel !== "page";
}

function wayOf({ channel, recipient }: Message): MessageWay {
  return { channel: channel === "mail" ? "mail" : "text", recipient };
}

/** Whoever wrote on a page: a customer, or somebody whose request waits. */
async function wayToWriter(
  db: Deps["db"],
  scope: Scope,
  { customerId, requestId }: Message,
  transaction: Transaction,
): Promise<MessageWay> {
  if (customerId || !requestId) return wayTo(scope, customerId ?? null, transaction);
  const { phone, email } = await findRequest(db, scope.businessId, requestId, transaction);
  if (phone !== null) return { channel: "text", recipient: phone };
  if (email !== null) return { channel: "mail", recipient: email };
  return wayTo(scope, null, transaction);
}

async function wayTo(scope: Scope, customerId: string | null, transaction: Transaction): Promise<MessageWay> {
  const customer = customerId === null ? null : await findCustomer(scope, customerId, transaction);
  const details = customer && upgradeDetails(customer.details);
  const [way] = details ? messageWays(details) : [];
  if (way) return way;
  if (details && (details.phones.length > 0 || details.emails.length > 0) && !(mayText(details) && mayMail(details)))
    throw new AppError("message/refused", "This customer wants no messages. Nothing was sent; call them.");
  throw new AppError(
    "message/no-way",
    "No phone that takes texts and no email is kept of this customer. Nothing was sent; add one, or call.",
  );
}

function wordsOf(
  { businessName }: Scope,
  { channel }: MessageWay,
  text: string,
): { subject: string | null; text: string } {
  return channel === "mail" ? { subject: businessName, text } : { subject: null, text: `${businessName}: ${text}` };
}

/** A reply somebody answered waits for nobody. */
async function answered(
  db: Deps["db"],
  businessId: string,
  reply: Message | null,
  workOrderId: string | null,
  transaction: Transaction,
): Promise<void> {
  if (reply && !reply.answeredAt) await reply.update({ answeredAt: new Date() }, { transaction });
  await tellOfMessage(db, reply ?? { businessId, id: "", workOrderId }, transaction);
}
