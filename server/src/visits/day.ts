import { addDays, instantAt, upgradeVisit } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { Scope } from "../scope";
import { toSummary, type SummaryRow } from "../workOrders/summaries";

const DAYS = `
  select v.state, p.name as mechanic, (
    select coalesce(json_agg(s.summary order by s.number), '[]') from visit_work_orders link
    join work_order_summaries s on s.business_id = link.business_id and s.id = link.work_order_id
    where link.business_id = v.business_id and link.visit_id = v.id) as orders
  from visits v join people p on p.business_id = v.business_id and p.id = v.mechanic_id
  where v.business_id = $1 and v.starts_at >= $2 and v.starts_at < $3 and (not v.cancelled or $4)
  order by v.starts_at, v.id limit 5000`;

/** The visits of a day in the business's zone, earliest first, each with what it is for. */
export function visitsOfDay(db: Sequelize, scope: Where, date: string): Promise<DayVisit[]> {
  return visitsOfDays(db, scope, { from: date, to: date });
}

type Where = Pick<Scope, "businessId" | "timeZone">;

/** The visits of some days, both included; those called off too where they are asked for. */
export async function visitsOfDays(
  db: Sequelize,
  { businessId, timeZone }: Where,
  { from, to }: { from: string; to: string },
  withCalledOff = false,
): Promise<DayVisit[]> {
  const range = [instantAt(from, 0, timeZone), instantAt(addDays(to, 1), 0, timeZone)];
  const rows = await askPrepared<{
    state: Readonly<Record<string, unknown>>;
    mechanic: string;
    orders: SummaryRow[];
  }>(db, DAYS, [businessId, ...range, withCalledOff]);
  return rows.map(({ state, mechanic, orders }) => ({
    visit: upgradeVisit(state),
    mechanicName: mechanic,
    workOrders: orders.map(toSummary),
  }));
}
