import { listed, upgradeVisit, upgradeWorkOrder } from "@mechanon/core";
import type { Sequelize, Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";

type Stored = Readonly<Record<string, unknown>>;

const SERVED = `
  select w.id, w.revision, w.state, (
    select coalesce(jsonb_agg(v.state order by v.starts_at), '[]') from visit_work_orders l
    join visits v on v.business_id = l.business_id and v.id = l.visit_id
    where l.business_id = w.business_id and l.work_order_id = w.id) as visits
  from work_orders w where w.business_id = $1 and w.id = any($2::uuid[]) order by w.id for update`;

const REFRESH = `
  update work_orders w set waits_for = given."waitsFor", waits_since = given."waitsSince"
  from jsonb_to_recordset($2::jsonb) as given (id uuid, "waitsFor" text, "waitsSince" timestamptz)
  where w.business_id = $1 and w.id = given.id`;

/** Brings what lists ask of work orders up to date after a visit of theirs changed; the visit itself is told of. */
export async function refreshLists(
  db: Sequelize,
  businessId: string,
  workOrderIds: readonly string[],
  transaction: Transaction,
): Promise<void> {
  const rows = await askPrepared<{ id: string; state: Stored; visits: Stored[] }>(
    db,
    SERVED,
    [businessId, workOrderIds],
    transaction,
  );
  const waits = rows.map(({ id, state, visits }) => {
    const { waitsFor, waitsSince } = listed(upgradeWorkOrder(state), visits.map(upgradeVisit));
    return { id, waitsFor, waitsSince };
  });
  await askPrepared(db, REFRESH, [businessId, JSON.stringify(waits)], transaction);
}
