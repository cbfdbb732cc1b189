import { randomBytes } from "node:crypto";
import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { Config } from "../config";

/** What a private page's link is for. */
export interface LinkFor {
  requestId: string | null;
  workOrderId: string | null;
  /** null: a request nobody agreed to yet. */
  customerId: string | null;
}

const LINK = `
  with live as (
    update directory.page_links set ends_at = greatest(ends_at, now() + make_interval(days => $5))
    where business_id = $1 and called_back_at is null and ends_at > now()
      and request_id is not distinct from $2 and work_order_id is not distinct from $3 and customer_id is not distinct from $4
    returning token
  ), made as (
    insert into directory.page_links (token, business_id, request_id, work_order_id, customer_id, ends_at)
    select $6, $1, $2, $3, $4, now() + make_interval(days => $5) where not exists (select from live) returning token
  )
  select token from live union all select token from made`;

/**
 * The address of the private page for a request or work order: the one that was given out for it before and can be opened
 * still, which lasts from now on as long as a new one, or a new one.
 * @param days - how long it can be opened, as the owner set it.
 */
export async function pageLink(
  { db, config }: { db: Sequelize; config: Pick<Config, "publicUrl"> },
  businessId: string,
  { requestId, workOrderId, customerId }: LinkFor,
  days: number,
  transaction: Transaction,
): Promise<string> {
  const token = randomBytes(24).toString("base64url");
  const values = [businessId, requestId, workOrderId, customerId, days, token];
  const [link] = await askPrepared<{ token: string }>(db, LINK, values, transaction);
  return `${config.publicUrl}/c/${link?.token ?? token}`;
}

/** Ends the links to a customer's private page that were given out so far; the next message brings a new one. */
export async function callBackPages(db: Sequelize, businessId: string, customerId: string): Promise<number> {
  const ended = await askPrepared(
    db,
    `update directory.page_links l set called_back_at = now()
     where l.business_id = $1 and l.called_back_at is null and l.ends_at > now()
       and (kept_customer(l.business_id, l.customer_id) = $2
         or l.request_id in (select id from requests where business_id = $1 and kept_customer(business_id, customer_id) = $2))
     returning token`,
    [businessId, customerId],
  );
  return ended.length;
}
