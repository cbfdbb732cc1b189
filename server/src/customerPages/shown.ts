import { upgradeVisit, type VisitState } from "@mechanon/core";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import type { FoundPage } from "./findPage";

/** Of a work order `w`: whether a page shows it. */
const IS_SHOWN = `(w.id = $3 or $4::uuid is not null and kept_customer(w.business_id, w.customer_id) = $4)`;

function valuesOf({ businessId, workOrderId, isProven, customerId }: FoundPage, id: string): unknown[] {
  return [businessId, id, workOrderId, isProven ? customerId : null];
}

/** @throws {AppError} `page/not-proven` for a work order the page does not show. */
export async function requireShown(db: Sequelize, page: FoundPage, workOrderId: string): Promise<void> {
  const shown = await askPrepared(
    db,
    `select 1 from work_orders w where w.business_id = $1 and w.id = $2 and ${IS_SHOWN}`,
    valuesOf(page, workOrderId),
  );
  if (shown.length === 0) throw notShown();
}

/**
 * A visit the page shows, and whether it is for others, too: what one customer does must not undo another's trip.
 * @throws {AppError} `page/not-proven` for any other.
 */
export async function shownVisit(
  db: Sequelize,
  page: FoundPage,
  id: string,
): Promise<{ visit: VisitState; isShared: boolean }> {
  const [row] = await askPrepared<{ state: Readonly<Record<string, unknown>>; isShared: boolean }>(
    db,
    `select v.state, ${IS_SHARED} as "isShared" from visits v
     join visit_work_orders l on l.business_id = v.business_id and l.visit_id = v.id
     join work_orders w on w.business_id = l.business_id and w.id = l.work_order_id
     where v.business_id = $1 and v.id = $2 and ${IS_SHOWN} limit 1`,
    valuesOf(page, id),
  );
  if (!row) throw notShown();
  return { visit: upgradeVisit(row.state), isShared: row.isShared };
}

/** Of a visit `v` and a work order `w` it serves: whether it serves somebody else's, too. */
export const IS_SHARED = `exists (
  select from visit_work_orders along join work_orders other
    on other.business_id = along.business_id and other.id = along.work_order_id
  where along.business_id = v.business_id and along.visit_id = v.id
    and kept_customer(other.business_id, other.customer_id) is distinct from kept_customer(w.business_id, w.customer_id))`;

export function notShown(): AppError {
  return new AppError("page/not-proven", "This page does not show that. Prove who you are to see everything of yours.");
}
