import { VEHICLE_JSON } from "../vehicles/vehicleColumns";

/** The statements of the bare handlers: rows that are the answer's own JSON, whole. */
export const BARE_VIEW = `
  select w.number, w.revision, w.state,
    (select jsonb_build_object('id', c.id, 'kind', c.kind, 'name', c.name, 'version', c.version, 'createdAt', iso(c.created_at),
      'erasedAt', iso(c.erased_at)) || c.details from customers c where c.business_id = w.business_id and c.id = w.customer_id) as customer,
    (select ${VEHICLE_JSON} from vehicles v where v.business_id = w.business_id and v.id = w.vehicle_id) as vehicle,
    (select coalesce(json_agg(v.state order by v.starts_at), '[]') from visit_work_orders l join visits v
      on v.business_id = l.business_id and v.id = l.visit_id where l.business_id = w.business_id and l.work_order_id = w.id) as visits,
    (select coalesce(json_agg(json_build_object('id', m.id, 'text', m.text, 'status', m.status, 'at', iso(m.created_at),
      'lastError', m.last_error) order by m.created_at), '[]') from messages m
      where m.business_id = w.business_id and m.work_order_id = w.id) as messages,
    (select coalesce(json_agg(json_build_object('id', r.id, 'kind', r.kind, 'status', r.status, 'at', iso(r.asked_at),
      'amountCents', r.amount_cents)), '[]') from external_requests r
      where r.business_id = w.business_id and r.work_order_id = w.id and r.status = 'asked') as requests
  from work_orders w where w.business_id = $1 and w.id = $2`;

export const BARE_DAY = `
  select v.state as visit, p.name as "mechanicName", (
    select coalesce(json_agg(s.summary order by s.number), '[]') from visit_work_orders l join work_order_summaries s
    on s.business_id = l.business_id and s.id = l.work_order_id where l.business_id = v.business_id and l.visit_id = v.id) as "workOrders"
  from visits v join people p on p.business_id = v.business_id and p.id = v.mechanic_id
  where v.business_id = $1 and v.starts_at >= $2 and v.starts_at < $3 and not v.cancelled order by v.starts_at`;

export const BARE_OPEN = `
  select wait.name as "waitsFor",
    (select count(*)::int from work_orders where business_id = $1 and waits_for = wait.name) as count,
    (select coalesce(json_agg(s.summary order by page.waits_since, page.id), '[]') from (
      select id, waits_since from work_orders where business_id = $1 and waits_for = wait.name
      order by waits_since, id limit 40) page join work_order_summaries s on s.business_id = $1 and s.id = page.id) as "workOrders"
  from unnest(array['answer', 'parts', 'time', 'work', 'money']) wait (name)`;
