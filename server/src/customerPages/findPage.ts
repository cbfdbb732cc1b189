import type { Sequelize } from "sequelize";
import { createHash } from "node:crypto";
import { askPrepared } from "../db/askPrepared";
import { ofBusiness } from "../db/ofBusiness";
import { AppError } from "../errors/appError";

/** What a link opens, and for whom. */
export interface FoundPage {
  token: string;
  businessId: string;
  requestId: string | null;
  workOrderId: string | null;
  /** Who it is by now; null: a request nobody agreed to yet. */
  customerId: string | null;
  /** Whether whoever has it open proved to be that customer. */
  isProven: boolean;
}

interface Link {
  businessId: string;
  requestId: string | null;
  workOrderId: string | null;
  customerId: string | null;
  isOver: boolean;
}

/** Opens the page behind a link, and does something for its business. @throws {AppError} `page/not-found`, `page/ended`. */
export async function withPage<T>(
  db: Sequelize,
  token: string,
  proof: string | undefined,
  work: (page: FoundPage) => Promise<T>,
): Promise<T> {
  const [link] = await askPrepared<Link>(
    db,
    `select business_id as "businessId", request_id as "requestId", work_order_id as "workOrderId",
       customer_id as "customerId", called_back_at is not null or ends_at <= now() as "isOver"
     from directory.find_page_link($1)`,
    [token],
  );
  if (!link)
    throw new AppError("page/not-found", "This link leads nowhere. Open it from your message once more, or call us.");
  if (link.isOver) throw ended();
  const { businessId } = link;
  return ofBusiness(businessId, async () => {
    const of = await whoseNow(db, link);
    const isProven =
      of.customerId !== null && proof !== undefined && (await isTheirs(db, businessId, of.customerId, proof));
    return work({ token, businessId, requestId: link.requestId, ...of, isProven });
  });
}

function ended(): AppError {
  return new AppError("page/ended", "This link has ended. The newest message of ours has one that opens.");
}

const WHOSE = `
  select w.id as "workOrderId", kept_customer($1, coalesce(w.customer_id, r.customer_id)) as "customerId",
    $4::uuid is not null and kept_customer($1, $4) is distinct from kept_customer($1, w.customer_id) as "isOthers"
  from (select 1) one
  left join requests r on r.business_id = $1 and r.id = $2
  left join work_orders w on w.business_id = $1 and w.id = coalesce($3::uuid, case when r.status = 'agreed' then r.work_order_id end)`;

/** Whose a link is by now. @throws {AppError} `page/ended` where the work is somebody else's than it was made for. */
async function whoseNow(
  db: Sequelize,
  { businessId, requestId, workOrderId, customerId }: Link,
): Promise<Pick<FoundPage, "workOrderId" | "customerId">> {
  const values = [businessId, requestId, workOrderId, customerId];
  const [now] = await askPrepared<{ workOrderId: string | null; customerId: string | null; isOthers: boolean }>(
    db,
    WHOSE,
    values,
  );
  if (!now || now.isOthers || (workOrderId !== null && now.workOrderId === null)) throw ended();
  const { isOthers: _, ...of } = now;
  // Before there is a work order nobody is meant for certain.
  return of.workOrderId === null ? { workOrderId: null, customerId: null } : of;
}

async function isTheirs(db: Sequelize, businessId: string, customerId: string, proof: string): Promise<boolean> {
  const found = await askPrepared(
    db,
    `select 1 from customer_codes where business_id = $1 and proof_hash = $2 and proof_ends_at > now()
       and kept_customer(business_id, customer_id) = $3`,
    [businessId, hashOf(proof), customerId],
  );
  return found.length > 0;
}

/** Of a secret, as it is kept. */
export function hashOf(secret: string): string {
  return createHash("sha256").update(secret).digest("base64");
}
