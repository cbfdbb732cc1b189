import type { BehindStep, Progress } from "./step";

const BATCH = 1000;

/** A step that one statement does batch by batch, until a batch is empty. */
function batches(name: string, sql: string): BehindStep {
  return {
    name,
    async run(client): Promise<Progress | null> {
      const { rows } = await client.query<{ count: number }>(sql);
      return (rows[0]?.count ?? 0) > 0 ? {} : null;
    },
  };
}

/** The history of before: its ids to those that stay for good, what was done to the months. */
export const moveHistory = batches(
  "0007-history",
  `with moved as (
     delete from commands where ctid = any(array(select ctid from commands limit ${BATCH})) returning *
   ), ids as (
     insert into command_ids (business_id, id, aggregate_id, body_hash, outcome)
     select business_id, id, aggregate_id, sha256(convert_to(body::text, 'UTF8')), outcome from moved
     on conflict do nothing
   ), told as (
     insert into history (business_id, aggregate_id, recorded_at, command_id, aggregate, revision, body, outcome, person_id, given_at)
     select business_id, aggregate_id, recorded_at, id, aggregate, revision, body, outcome, person_id, given_at from moved
   )
   select count(*)::int as count from moved`,
);

/** Orders and charges of before that were settled. */
export const moveRequests = batches(
  "0007-requests",
  `with orders as (
     delete from part_orders where ctid = any(array(select ctid from part_orders limit ${BATCH})) returning *
   ), charges as (
     delete from card_charges where ctid = any(array(select ctid from card_charges limit ${BATCH})) returning *
   ), requests as (
     insert into external_requests (business_id, id, kind, key, work_order_id, supplier_id, amount_cents, status, person_id, asked_at, settled_at)
     select o.business_id, o.id, 'partsOrder', o.id::text, o.work_order_id, 'gull-harbor', null::bigint,
       case o.status when 'confirmed' then 'done' else 'refused' end, (w.state->>'openedBy')::uuid, o.asked_at, o.asked_at
       from orders o join work_orders w on w.business_id = o.business_id and w.id = o.work_order_id
     union all
     select c.business_id, c.id, 'cardCharge', c.id::text, c.work_order_id, null, c.amount_cents,
       case c.status when 'taken' then 'done' else 'refused' end, (w.state->>'openedBy')::uuid, c.asked_at, c.asked_at
       from charges c join work_orders w on w.business_id = c.business_id and w.id = c.work_order_id
     on conflict do nothing
   )
   select (select count(*) from orders)::int + (select count(*) from charges)::int as count`,
);

/** When visits of before were driven to, reached and left. */
export const fillVisitTimes: BehindStep = {
  name: "0007-visit-times",
  async run(client, at) {
    const { rows } = await client.query<{ business_id: string; id: string }>(
      `with page as (
         select business_id, id from visits where (business_id, id) > ($1::uuid, $2::uuid) order by business_id, id limit ${BATCH}
       ), filled as (
         update visits v set set_off_at = (v.state->>'setOffAt')::timestamptz, arrived_at = (v.state->>'arrivedAt')::timestamptz,
           left_at = (v.state->>'leftAt')::timestamptz
         from page where v.business_id = page.business_id and v.id = page.id
           and coalesce(v.state->>'setOffAt', v.state->>'arrivedAt', v.state->>'leftAt') is not null and v.set_off_at is null
       )
       select business_id, id from page order by business_id desc, id desc limit 1`,
      [at.businessId ?? NOBODY, at.id ?? NOBODY],
    );
    const [last] = rows;
    return last ? { businessId: last.business_id, id: last.id } : null;
  },
};

const NOBODY = "00000000-0000-0000-0000-000000000000";
