import type { ReceiptView } from "@mechanon/contract";
import { DateTime } from "luxon";
import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import type { Scope } from "../scope";

/** A link to a receipt, and what it was sent with. */
export interface ReceiptLink {
  token: string;
  businessId: string;
  workOrderId: string;
  /** The receipt as it was sent; null for links of before that were kept. */
  receipt: ReceiptView | null;
  createdAt: Date;
  calledBackAt: Date | null;
}

/** @throws {AppError} `receipt/not-found` for a link nobody gave out. */
export async function findReceiptLink(db: Sequelize, token: string): Promise<ReceiptLink> {
  const [link] = await askPrepared<Omit<ReceiptLink, "token">>(
    db,
    `select business_id as "businessId", work_order_id as "workOrderId", receipt, created_at as "createdAt", called_back_at as "calledBackAt" from directory.find_receipt_link($1)`,
    [token],
  );
  if (!link)
    throw new AppError(
      "receipt/not-found",
      "There is no receipt behind this link. Check that it was copied whole, or ask for it again.",
    );
  return { ...link, token };
}

/** Whether a link was called back, or is older than the owner lets links become. */
export function hasEnded(
  { createdAt, calledBackAt }: Pick<ReceiptLink, "createdAt" | "calledBackAt">,
  months: number,
  now: Date,
): boolean {
  return calledBackAt !== null || endOf(createdAt, months) <= now;
}

function endOf(createdAt: Date, months: number): Date {
  return DateTime.fromJSDate(createdAt).plus({ months }).toJSDate();
}

/** Of a link `l` and its work order `w`: still the customer's it was sent to, and for the same car. */
const STILL_OF = `l.vehicle_id is not distinct from w.vehicle_id
    and kept_customer(l.business_id, l.customer_id) is not distinct from kept_customer(w.business_id, w.customer_id)`;

/** Whether the work order is still the customer's a link was sent to, and for the same car. */
export async function isStillOf(db: Sequelize, { businessId, token }: ReceiptLink): Promise<boolean> {
  const found = await askPrepared(
    db,
    `select 1 from directory.receipt_links l
     join work_orders w on w.business_id = l.business_id and w.id = l.work_order_id
     where l.business_id = $1 and l.token = $2 and ${STILL_OF}`,
    [businessId, token],
  );
  return found.length > 0;
}

/** Keeps a link with what it was sent with. */
export async function keepReceiptLink(
  db: Sequelize,
  link: Omit<ReceiptLink, "createdAt" | "calledBackAt"> & {
    /** Whom it is sent to, and for which car. */
    customerId: string | null;
    vehicleId: string | null;
    sentTo: string;
  },
  transaction: Transaction,
): Promise<void> {
  const { token, businessId, workOrderId, customerId, vehicleId, receipt, sentTo } = link;
  await askPrepared(
    db,
    `insert into directory.receipt_links (token, business_id, work_order_id, customer_id, vehicle_id, receipt, sent_to)
     values ($1, $2, $3, $4, $5, $6, $7)`,
    [token, businessId, workOrderId, customerId, vehicleId, JSON.stringify(receipt), sentTo],
    transaction,
  );
}

/** From here on a link of before shows what it showed first. */
export async function keepReceipt(
  db: Sequelize,
  { businessId, token }: ReceiptLink,
  receipt: ReceiptView,
): Promise<void> {
  await askPrepared(
    db,
    "update directory.receipt_links set receipt = $3 where business_id = $1 and token = $2 and receipt is null",
    [businessId, token, JSON.stringify(receipt)],
  );
}

/** Ends the links to a receipt that were sent so far. */
export async function callBackReceipts(
  db: Sequelize,
  { businessId }: Pick<Scope, "businessId">,
  workOrderId: string,
): Promise<void> {
  await askPrepared(
    db,
    `update directory.receipt_links set called_back_at = now()
     where business_id = $1 and work_order_id = $2 and called_back_at is null`,
    [businessId, workOrderId],
  );
}

/** Links of a work order, as SQL beside the row `w`: whom they went to and when; those that ended by themselves too. */
export const RECEIPT_LINKS_JSON = `(select coalesce(json_agg(json_build_object('sentTo', l.sent_to, 'at', iso(l.created_at))
    order by l.created_at), '[]')
  from directory.receipt_links l where l.business_id = w.business_id and l.work_order_id = w.id and l.called_back_at is null
    and ${STILL_OF})`;

/** Of links sent, those that can be opened still, with the day they end. */
export function liveLinks(
  links: readonly { sentTo: string; at: string }[],
  months: number,
  now: Date,
): { sentTo: string; at: string; endsAt: string }[] {
  return links
    .map((link) => ({ ...link, endsAt: endOf(new Date(link.at), months) }))
    .filter(({ endsAt }) => endsAt > now)
    .map(({ endsAt, ...link }) => ({ ...link, endsAt: endsAt.toISOString() }));
}
