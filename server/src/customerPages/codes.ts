import { randomBytes, randomInt, timingSafeEqual } from "node:crypto";
import { mayMail, mayText, say, upgradeDetails, type CustomerDetails, type MessageWay } from "@mechanon/core";
import type { Sequelize } from "sequelize";
import { v7 as uuid } from "uuid";
import { findCustomer } from "../customers/service";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import { queueMessage } from "../messages/service";
import type { Deps } from "../scope";
import { hashOf, type FoundPage } from "./findPage";

const MINUTES_OPEN = 10;
const MOST_TRIES = 5;
/** Who proved it once is asked again the next day. */
export const HOURS_PROVEN = 24;
/** Whoever asks for more in an hour is no customer in a hurry. */
const MOST_CODES = 5;

/** Where a code can go: phones that take texts and mails, as they are kept, unless they said no. */
export function waysToProve(
  details: Pick<CustomerDetails, "phones" | "emails" | "textConsent" | "emailConsent">,
): MessageWay[] {
  const texts = mayText(details) ? details.phones.filter(({ extension }) => extension === null) : [];
  const mails = mayMail(details) ? details.emails : [];
  return [
    ...texts.map(({ number }): MessageWay => ({ channel: "text", recipient: number })),
    ...mails.map(({ address }): MessageWay => ({ channel: "mail", recipient: address })),
  ];
}

/** Sends a one-time code to one of the ways the page named. @throws {AppError} `page/no-way`, `request/too-often`. */
export async function sendCode(
  { db, rules }: Pick<Deps, "db" | "rules">,
  page: FoundPage,
  index: number,
): Promise<void> {
  const { businessId, customerId, token } = page;
  const customer = customerId === null ? null : await findCustomer({ businessId }, customerId);
  const details = customer && upgradeDetails(customer.details);
  const way = details ? waysToProve(details)[index] : undefined;
  if (!details || !way || customerId === null)
    throw new AppError("page/no-way", "No phone or mail is kept that a code could go to. Please call us.");
  const { name } = await rules.now(businessId);
  const code = String(randomInt(1_000_000)).padStart(6, "0");
  await db.transaction(async (transaction) => {
    // One at a time, so that no more than these go out.
    await askPrepared(db, "select pg_advisory_xact_lock(hashtextextended('codes ' || $1, 0))", [token], transaction);
    const [sent] = await askPrepared<{ count: number }>(
      db,
      `select count(*)::int as count from customer_codes
       where business_id = $1 and customer_id = $2 and created_at > now() - interval '1 hour'`,
      [businessId, customerId],
      transaction,
    );
    if ((sent?.count ?? 0) >= MOST_CODES)
      throw new AppError("request/too-often", "Five codes went out in this hour. Nothing was sent; wait, or call us.", {
        retryAfterSeconds: 3600,
      });
    await askPrepared(
      db,
      `insert into customer_codes (business_id, token, customer_id, code_hash, expires_at)
       values ($1, $2, $3, $4, now() + interval '${MINUTES_OPEN} minutes')`,
      [businessId, token, customerId, hashOf(`${token}/${code}`)],
      transaction,
    );
    const values = { business: name, code, minutes: MINUTES_OPEN };
    await queueMessage(
      db,
      { businessId },
      // Of nobody and nothing: whoever works here is not shown it.
      {
        id: uuid(),
        customerId: null,
        workOrderId: null,
        kind: null,
        ...way,
        subject: way.channel === "mail" ? say(details.language, "code.subject", values) : null,
        text: say(details.language, "code.text", values),
      },
      transaction,
    );
  });
}

/**
 * Proves by the newest code who has the page open.
 * @returns The secret the browser keeps.
 * @throws {AppError} `page/code-wrong`; `page/code-over` after five wrong ones, ten minutes, or when it was used.
 */
export async function proveByCode(db: Sequelize, page: FoundPage, typed: string): Promise<string> {
  const { businessId, token } = page;
  // Counted before it is looked at, so that five at one moment are five.
  const [code] = await askPrepared<{ id: string; hash: string }>(
    db,
    `update customer_codes set tries = tries + 1
     where business_id = $1 and tries < ${MOST_TRIES} and used_at is null and expires_at > now() and id =
       (select id from customer_codes where business_id = $1 and token = $2 order by created_at desc limit 1)
     returning id, code_hash as hash`,
    [businessId, token],
  );
  if (!code) throw new AppError("page/code-over", "This code is over. Have another one sent.");
  const given = Buffer.from(hashOf(`${token}/${typed.replace(/\D/g, "")}`));
  const known = Buffer.from(code.hash);
  if (given.length !== known.length || !timingSafeEqual(given, known))
    throw new AppError("page/code-wrong", "This is not the code that was sent. Look once more.");
  const proof = randomBytes(32).toString("base64url");
  const used = await askPrepared(
    db,
    `update customer_codes set used_at = now(), proof_hash = $3, proof_ends_at = now() + interval '${HOURS_PROVEN} hours'
     where business_id = $1 and id = $2 and used_at is null returning id`,
    [businessId, code.id, hashOf(proof)],
  );
  if (used.length === 0) throw new AppError("page/code-over", "This code was used. Have another one sent.");
  return proof;
}
