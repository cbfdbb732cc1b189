/** Photos with checksum and a small one beside them, clips; when a customer opened their page. */
export const up = `
alter table photos
  -- Of what was sent: what tells of place and device is taken out before it is kept.
  add column sent_size integer,
  -- SHA-256 of what is kept, in hex.
  add column checksum text,
  add column has_small boolean not null default false;

-- Each time a page was opened by its customer: the first and the last.
alter table directory.page_links add column first_opened_at timestamptz, add column last_opened_at timestamptz;

-- A work order as lists show it, now with what nobody answered though the car was looked at.
create or replace view work_order_summaries with (security_invoker = true) as
  select w.business_id, w.id, w.number, w.customer_id, w.vehicle_id, w.waits_for, w.waits_since, w.opened_at,
    json_build_object('id', w.id, 'number', w.number, 'customerId', w.customer_id, 'customerName', coalesce(c.name, ''),
      'year', v.year, 'make', v.make, 'model', v.model, 'hasVehicle', v.id is not null, 'plate', v.plate,
      'concerns', coalesce(w.concerns, array(select item->>'text' from jsonb_array_elements(w.state->'concerns') item)),
      'waitsFor', w.waits_for, 'since', iso(w.waits_since), 'totalCents', w.total_cents, 'dueCents', w.due_cents,
      'conflicts', w.open_conflicts, 'openedAt', iso(w.opened_at), 'nextVisitAt', iso(coming.starts_at),
      'unclearCents', (select coalesce(sum(r.amount_cents), 0) from external_requests r
        where r.business_id = w.business_id and r.work_order_id = w.id and r.kind = 'cardCharge' and r.status = 'asked'),
      'openConcerns', case when jsonb_array_length(w.state->'findings') = 0 then 0 else (
        select count(*)::int from jsonb_array_elements(w.state->'concerns') concern where not concern ? 'answer'
          and (concern->>'kind' = 'fault' or not exists (
            select from jsonb_array_elements(w.state->'jobs') job where job->>'concernId' = concern->>'id'))) end) as summary
  from work_orders w
  left join customers c on c.business_id = w.business_id and c.id = w.customer_id
  left join vehicles v on v.business_id = w.business_id and v.id = w.vehicle_id
  left join lateral (
    select visit.starts_at from visit_work_orders link
    join visits visit on visit.business_id = link.business_id and visit.id = link.visit_id
    where link.business_id = w.business_id and link.work_order_id = w.id and not visit.cancelled
      and visit.left_at is null and visit.state->>'leftAt' is null
    order by visit.starts_at limit 1
  ) coming on true;
`;
