import { createHash } from "node:crypto";
import { readPhone, type AskedVisit } from "@mechanon/core";
import { DateTime } from "luxon";
import type { Sequelize, Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import { pageLink } from "../customerPages/pageLinks";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import { notifyChange } from "../events/notify";
import { letGo, startHolding } from "../schedule/heldTimes";
import type { Deps } from "../scope";
import { holdFree, isTrulyOffered, timeGone } from "./askTimes";
import { placed } from "./placed";
import { tellAsker } from "./tellAsker";

export type AskDeps = Pick<Deps, "db" | "rules" | "outside" | "config" | "log">;

/** So many requests of one phone or mail in a day are one person's; more are nobody's. */
const MOST_OF_ONE = 6;
/** A day brings no business more; what comes beyond is asked to call. */
const MOST_OF_BUSINESS = 300;

/**
 * Keeps a request, holds its time until somebody answers, and tells whoever asked; the same id and words ask once.
 * @returns The address of the private page on which it is followed.
 * @throws {AppError} `ask/closed`, `ask/terms-changed`, `ask/time-gone`, `ask/too-many`; `request/id-taken`.
 */
export async function askForVisit(deps: AskDeps, businessId: string, id: string, asked: AskedVisit): Promise<string> {
  const { db, rules, config } = deps;
  const hash = createHash("sha256").update(JSON.stringify(asked)).digest("base64");
  const { settings } = await rules.now(businessId);
  const known = await askedBefore(deps, businessId, id, hash);
  if (known) return known;
  if (!settings.requests.isOpen)
    throw new AppError("ask/closed", "Visits cannot be asked for here just now. Nothing was sent; please call.");
  requireTerms(asked, settings);
  const phone = readPhone(asked.phone)?.number ?? null;
  const email = asked.email === "" ? null : asked.email.toLowerCase();
  const place = await placed(deps, asked.place);
  const { time, wishIds, words } = asked;
  const isOffered = await isTrulyOffered(deps, businessId, { place, wishIds, words, heldFor: id, time });
  const until = DateTime.utc().plus({ hours: settings.requests.holdHours }).toJSDate().toISOString();
  return db.transaction(async (transaction) => {
    // One after the other, so that of the same sent twice in one moment the second finds the first.
    await startHolding(db, businessId, transaction);
    const before = await askedBefore(deps, businessId, id, hash, transaction);
    if (before) return before;
    if (!isOffered) throw timeGone();
    await requireFew(db, businessId, [phone, email], transaction);
    const visitId = uuid();
    // From now on it is held for the visit it may become.
    await letGo(db, businessId, [id], transaction);
    await holdFree(db, businessId, { heldFor: visitId, time, place }, transaction, until);
    await askPrepared(
      db,
      `insert into requests (business_id, id, asked, asked_hash, status, phone, email, visit_id, work_order_id,
         new_customer_id, new_vehicle_id)
       values ($1, $2, $3, $4, 'waiting', $5, $6, $7, $8, $9, $10)`,
      [businessId, id, JSON.stringify({ ...asked, place }), hash, phone, email, visitId, uuid(), uuid(), uuid()],
      transaction,
    );
    await keepOnlyNamed(deps, businessId, id, asked.photoIds, transaction);
    await notifyChange(db, businessId, { kind: "request", id, revision: 0 }, transaction);
    await tellAsker(deps, businessId, { id, asked, phone, email }, { kind: "asked" }, transaction);
    const linkFor = { requestId: id, workOrderId: null, customerId: null };
    return pageLink({ db, config }, businessId, linkFor, settings.requests.linkDays, transaction);
  });
}

/** The page of a request that was kept before. @throws {AppError} `request/id-taken` where it was another. */
async function askedBefore(
  { db, rules, config }: AskDeps,
  businessId: string,
  id: string,
  hash: string,
  given?: Transaction,
): Promise<string | null> {
  const find = async (transaction: Transaction): Promise<string | null> => {
    const [before] = await askPrepared<{ hash: string }>(
      db,
      "select asked_hash as hash from requests where business_id = $1 and id = $2",
      [businessId, id],
      transaction,
    );
    if (!before) return null;
    if (before.hash !== hash)
      throw new AppError(
        "request/id-taken",
        "Something else was asked under this id. Nothing was changed; begin anew.",
      );
    const { settings } = await rules.now(businessId, transaction);
    const linkFor = { requestId: id, workOrderId: null, customerId: null };
    return pageLink({ db, config }, businessId, linkFor, settings.requests.linkDays, transaction);
  };
  return given ? find(given) : db.transaction(find);
}

/** Terms that were changed while the page stood open are read anew. */
function requireTerms(
  { terms, language }: AskedVisit,
  { visits, requests }: Awaited<ReturnType<Deps["rules"]["now"]>>["settings"],
): void {
  const now = language === "es" ? requests.termsSpanish || visits.callOffTerms : visits.callOffTerms;
  if (terms !== now)
    throw new AppError(
      "ask/terms-changed",
      "The terms were changed while this page stood open. Nothing was sent and all you typed is kept; read them and send it again.",
    );
}

/** @throws {AppError} `ask/too-many` from one phone or mail in a day, or of all. */
async function requireFew(
  db: Sequelize,
  businessId: string,
  [phone, email]: readonly (string | null)[],
  transaction: Transaction,
): Promise<void> {
  const [asked] = await askPrepared<{ ofOne: number; all: number }>(
    db,
    `select count(*) filter (where phone = $2 or email = $3)::int as "ofOne", count(*)::int as all from requests
     where business_id = $1 and created_at > now() - interval '1 day'`,
    [businessId, phone, email],
    transaction,
  );
  if (asked && asked.ofOne < MOST_OF_ONE && asked.all < MOST_OF_BUSINESS) return;
  throw new AppError(
    "ask/too-many",
    "This phone or email asked for several visits today already. Nothing was sent; please call.",
    { retryAfterSeconds: 3600 },
  );
}

/** Photos that were taken out again before it was sent are none of it. */
async function keepOnlyNamed(
  { db }: AskDeps,
  businessId: string,
  requestId: string,
  photoIds: readonly string[],
  transaction: Transaction,
): Promise<void> {
  await askPrepared(
    db,
    "delete from customer_photos where business_id = $1 and request_id = $2 and photo_id <> all($3::uuid[])",
    [businessId, requestId, photoIds],
    transaction,
  );
}
