import type { CustomerDetails } from "@mechanon/core";
import type { MoveAsk } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../../db/askPrepared";
import type { Scope } from "../../scope";

const ASKS = `
  select a.id, a.visit_id as "visitId", first."workOrderId", coalesce(c.name, '') as "customerName", c.details,
    iso(a.from_starts_at) as "fromStartsAt", iso(a.starts_at) as "startsAt", iso(a.ends_at) as "endsAt",
    a.mechanic_id as "mechanicId", a.why, a.recipient, a.message, iso(a.sent_at) as "sentAt",
    iso(a.answer_by) as "answerBy", a.answer
  from move_asks a
  join lateral (
    select l.work_order_id as "workOrderId" from visit_work_orders l
    where l.business_id = a.business_id and l.visit_id = a.visit_id order by l.work_order_id limit 1
  ) first on true
  join work_orders w on w.business_id = a.business_id and w.id = first."workOrderId"
  left join customers c on c.business_id = w.business_id and c.id = w.customer_id
  where a.business_id = $1 and not a.for_gap and a.asked_at > now() - interval '14 days'
  order by a.from_starts_at, a.id`;

/** Who was asked about a new time in the last two weeks. */
export async function listMoveAsks(db: Sequelize, { businessId }: Pick<Scope, "businessId">): Promise<MoveAsk[]> {
  const rows = await askPrepared<Omit<MoveAsk, "phone"> & { details: CustomerDetails | null }>(db, ASKS, [businessId]);
  return rows.map(({ details, ...ask }) => ({ ...ask, phone: details?.phones[0]?.number ?? null }));
}
