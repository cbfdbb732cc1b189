/** Times held, appointments of people's own, links to calendars, and new times asked for. */
export const up = `
-- A time that is offered or picked, for one person until it expires; nobody else is offered it meanwhile.
create table held_times (
  business_id uuid not null references businesses,
  id uuid not null default gen_random_uuid(),
  -- The call, work order or visit a time is looked for; what is held for one may overlap, since one of them is picked.
  held_for uuid not null,
  person_id uuid not null,
  mechanic_id uuid not null,
  starts_at timestamptz not null,
  ends_at timestamptz not null,
  latitude double precision,
  longitude double precision,
  expires_at timestamptz not null,
  primary key (business_id, id),
  check (ends_at > starts_at),
  constraint held_times_keep_apart exclude using gist (
    business_id with =, mechanic_id with =, held_for with <>, tstzrange(starts_at, ends_at) with &&
  )
);
create index held_times_for on held_times (business_id, held_for);
alter table held_times enable row level security;
create policy own_rows on held_times using (business_id = current_business());

-- What else keeps somebody, read from a calendar of their own.
create table busy_times (
  business_id uuid not null references businesses,
  person_id uuid not null,
  -- Of the event, with its start where it repeats.
  event_key text not null,
  title text not null,
  starts_at timestamptz not null,
  ends_at timestamptz not null,
  primary key (business_id, person_id, event_key),
  check (ends_at > starts_at)
);
create index busy_times_at on busy_times (business_id, starts_at);
alter table busy_times enable row level security;
create policy own_rows on busy_times using (business_id = current_business());

-- New times asked for because of the weather: who says yes is moved.
create table move_asks (
  business_id uuid not null references businesses,
  id uuid not null,
  visit_id uuid not null,
  starts_at timestamptz not null,
  ends_at timestamptz not null,
  mechanic_id uuid not null,
  -- As it stood when it was asked: a visit that was moved meanwhile is asked about no more.
  from_starts_at timestamptz not null,
  asked_by uuid not null,
  why text not null,
  -- Null: nobody of the visit may be texted, and is called.
  recipient text,
  message text not null,
  asked_at timestamptz not null,
  -- Null: it is ready, and was not sent.
  sent_at timestamptz,
  answer_by timestamptz not null,
  answer text check (answer in ('yes', 'no')),
  answered_at timestamptz,
  primary key (business_id, id),
  foreign key (business_id, visit_id) references visits
);
create unique index move_asks_open on move_asks (business_id, visit_id) where answer is null;
alter table move_asks enable row level security;
create policy own_rows on move_asks using (business_id = current_business());

-- The secret link of a mechanic's calendar, one for each; renewed, the one of before opens nothing.
create table directory.calendar_links (
  business_id uuid not null,
  person_id uuid not null,
  token text not null unique,
  created_at timestamptz not null default now(),
  primary key (business_id, person_id)
);
alter table directory.calendar_links enable row level security;
create policy own_rows on directory.calendar_links using (business_id = current_business());
create function directory.find_calendar_link(given_token text) returns table (business_id uuid, person_id uuid)
  language sql stable security definer set search_path = pg_catalog, pg_temp as $$
  select l.business_id, l.person_id from directory.calendar_links l where l.token = given_token
$$;
revoke execute on function directory.find_calendar_link(text) from public;

-- The link in the text that asks, by which its customer answers.
create table directory.move_links (
  token text primary key,
  business_id uuid not null,
  ask_id uuid not null
);
alter table directory.move_links enable row level security;
create policy own_rows on directory.move_links using (business_id = current_business());
create function directory.find_move_link(given_token text) returns table (business_id uuid, ask_id uuid)
  language sql stable security definer set search_path = pg_catalog, pg_temp as $$
  select l.business_id, l.ask_id from directory.move_links l where l.token = given_token
$$;
revoke execute on function directory.find_move_link(text) from public;

-- Stores what commands made of a visit; a work order that was left out is served by it no more, and told so.
create or replace function store_visit(business uuid, visit uuid, person uuid, changed jsonb, sent jsonb) returns void language plpgsql as $$
declare
  state_now jsonb := changed->'state';
  started timestamptz;
  left_out uuid[];
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
    with gone as (
      delete from visit_work_orders where business_id = business and visit_id = visit
        and not (state_now->'workOrderIds' ? work_order_id::text)
      returning work_order_id
    ) select coalesce(array_agg(work_order_id), '{}') into left_out from gone;
    insert into visit_work_orders (business_id, visit_id, work_order_id)
      select business, visit, served::uuid from jsonb_array_elements_text(state_now->'workOrderIds') served
      on conflict do nothing;
    perform pg_notify('mechanon_changes', json_build_object('businessId', business, 'kind', 'visit', 'id', visit,
      'revision', (changed->>'revision')::integer, 'workOrderIds', state_now->'workOrderIds' || to_jsonb(left_out),
      'startsAt', array_remove(array[iso(started), state_now->>'startsAt'], null))::text);
  end if;
  perform store_history(business, 'visit', visit, person, sent);
end $$;
`;
