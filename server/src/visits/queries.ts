import { upgradeVisit, type VisitState } from "@mechanon/core";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";

/** All visits that serve any of some work orders, earliest first, each once. */
export async function visitsServing(
  db: Sequelize,
  businessId: string,
  workOrderIds: readonly string[],
): Promise<VisitState[]> {
  const rows = await askPrepared<{ state: Readonly<Record<string, unknown>> }>(
    db,
    `select v.state from visits v where v.business_id = $1 and v.id in (
       select visit_id from visit_work_orders where business_id = $1 and work_order_id = any($2::uuid[])
     ) order by v.starts_at, v.id`,
    [businessId, workOrderIds],
  );
  return rows.map(({ state }) => upgradeVisit(state));
}
