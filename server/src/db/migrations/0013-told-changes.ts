/** A change says what it touches, so that only lists which show that are asked for again. */
export const up = `
-- Stores what commands made of a work order, with its ledger, its history, and the notice to others. Gives its number.
create or replace function store_work_order(
  business uuid, work_order uuid, person uuid, changed jsonb, lists jsonb, ledger jsonb, ledger_as smallint, sent jsonb
) returns integer language plpgsql as $$
declare
  given_number integer;
  listed jsonb;
begin
  if changed is not null then
    -- What lists show of it: whoever shows one asks again only where that became another.
    select jsonb_build_object('customerId', customer_id, 'vehicleId', vehicle_id, 'waitsFor', waits_for,
        'totalCents', total_cents, 'dueCents', due_cents, 'openConflicts', open_conflicts, 'concerns', to_jsonb(concerns))
      into listed from work_orders where business_id = business and id = work_order;
    update work_orders set state = changed->'state', revision = (changed->>'revision')::integer,
      customer_id = (changed->'state'->>'customerId')::uuid, vehicle_id = (changed->'state'->>'vehicleId')::uuid,
      waits_for = lists->>'waitsFor', waits_since = (lists->>'waitsSince')::timestamptz,
      total_cents = (lists->>'totalCents')::bigint, due_cents = (lists->>'dueCents')::bigint,
      later_count = (lists->>'laterCount')::integer, open_conflicts = (lists->>'openConflicts')::integer,
      concerns = array(select jsonb_array_elements_text(lists->'concerns')), ledger_version = ledger_as
      where business_id = business and id = work_order
      returning number into given_number;
    if given_number is null then
      update businesses set next_number = next_number + 1 where id = business returning next_number - 1 into given_number;
      insert into work_orders (business_id, id, number, customer_id, vehicle_id, revision, state, waits_for, waits_since,
          total_cents, due_cents, later_count, open_conflicts, concerns, opened_at, ledger_version)
        values (business, work_order, given_number, (changed->'state'->>'customerId')::uuid,
          (changed->'state'->>'vehicleId')::uuid, (changed->>'revision')::integer, changed->'state', lists->>'waitsFor',
          (lists->>'waitsSince')::timestamptz, (lists->>'totalCents')::bigint, (lists->>'dueCents')::bigint,
          (lists->>'laterCount')::integer, (lists->>'openConflicts')::integer,
          array(select jsonb_array_elements_text(lists->'concerns')), (changed->'state'->>'openedAt')::timestamptz, ledger_as);
    end if;
    perform store_ledger(business, work_order, ledger);
    perform pg_notify('mechanon_changes', json_build_object('businessId', business, 'kind', 'workOrder', 'id', work_order,
      'revision', (changed->>'revision')::integer,
      'customerIds', array_remove(array[(listed->>'customerId')::uuid, (changed->'state'->>'customerId')::uuid], null),
      'vehicleIds', array_remove(array[(listed->>'vehicleId')::uuid, (changed->'state'->>'vehicleId')::uuid], null),
      'isListed', listed is null or listed is distinct from jsonb_build_object(
        'customerId', changed->'state'->'customerId', 'vehicleId', changed->'state'->'vehicleId',
        'waitsFor', lists->'waitsFor', 'totalCents', (lists->>'totalCents')::bigint,
        'dueCents', (lists->>'dueCents')::bigint, 'openConflicts', (lists->>'openConflicts')::integer,
        'concerns', lists->'concerns'))::text);
  end if;
  perform store_history(business, 'workOrder', work_order, person, sent);
  return given_number;
end $$;

-- Stores what commands made of a visit, with its times, its history, and the notice to others.
create or replace function store_visit(business uuid, visit uuid, person uuid, changed jsonb, sent jsonb) returns void language plpgsql as $$
declare
  state_now jsonb := changed->'state';
  started timestamptz;
begin
  if changed is not null then
    select starts_at into started from visits where business_id = business and id = visit;
    insert into visits as kept (business_id, id, revision, mechanic_id, starts_at, ends_at, cancelled, state,
        set_off_at, arrived_at, left_at, overlap_allowed)
      values (business, visit, (changed->>'revision')::integer, (state_now->>'mechanicId')::uuid,
        (state_now->>'startsAt')::timestamptz, (state_now->>'endsAt')::timestamptz,
        state_now->>'cancelledAt' is not null, state_now, (state_now->>'setOffAt')::timestamptz,
        (state_now->>'arrivedAt')::timestamptz, (state_now->>'leftAt')::timestamptz, (state_now->>'overlapAllowed')::boolean)
      on conflict (business_id, id) do update set revision = excluded.revision, mechanic_id = excluded.mechanic_id,
        starts_at = excluded.starts_at, ends_at = excluded.ends_at, cancelled = excluded.cancelled, state = excluded.state,
        set_off_at = excluded.set_off_at, arrived_at = excluded.arrived_at, left_at = excluded.left_at,
        overlap_allowed = excluded.overlap_allowed;
    insert into visit_work_orders (business_id, visit_id, work_order_id)
      select business, visit, served::uuid from jsonb_array_elements_text(state_now->'workOrderIds') served
      on conflict do nothing;
    perform pg_notify('mechanon_changes', json_build_object('businessId', business, 'kind', 'visit', 'id', visit,
      'revision', (changed->>'revision')::integer, 'workOrderIds', state_now->'workOrderIds',
      'startsAt', array_remove(array[iso(started), state_now->>'startsAt'], null))::text);
  end if;
  perform store_history(business, 'visit', visit, person, sent);
end $$;
`;
