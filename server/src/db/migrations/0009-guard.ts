/**
 * Businesses are kept apart by the database itself: every row belongs to one, and whoever the server asks as sees only
 * those of the business its transaction says. What crosses businesses is asked through functions of the directory.
 */
export const up = `
create function current_business() returns uuid language sql stable parallel safe as $$
  select nullif(current_setting('mechanon.business_id', true), '')::uuid
$$;

do $$
declare
  kept record;
begin
  for kept in
    select c.oid::regclass as name, c.relispartition as is_part from pg_class c
    join pg_attribute a on a.attrelid = c.oid and a.attname = 'business_id'
    where c.relkind in ('r', 'p') and c.relnamespace::regnamespace::text in ('public', 'directory')
  loop
    execute format('alter table %s enable row level security', kept.name);
    -- A month of the history is reached through the whole of it only.
    if not kept.is_part then
      execute format('create policy own_rows on %s using (business_id = current_business())', kept.name);
    end if;
  end loop;
end $$;
alter table businesses enable row level security;
create policy own_rows on businesses using (id = current_business());
-- A work order as lists show it, now with what the card terminal has not said yet.
create or replace view work_order_summaries with (security_invoker = true) as
  select w.business_id, w.id, w.number, w.customer_id, w.vehicle_id, w.waits_for, w.waits_since, w.opened_at,
    json_build_object('id', w.id, 'number', w.number, 'customerId', w.customer_id, 'customerName', coalesce(c.name, ''),
      'year', v.year, 'make', v.make, 'model', v.model, 'hasVehicle', v.id is not null, 'plate', v.plate,
      'concerns', coalesce(w.concerns, array(select item->>'text' from jsonb_array_elements(w.state->'concerns') item)),
      'waitsFor', w.waits_for, 'since', iso(w.waits_since), 'totalCents', w.total_cents, 'dueCents', w.due_cents,
      'conflicts', w.open_conflicts, 'openedAt', iso(w.opened_at), 'nextVisitAt', iso(coming.starts_at),
      'unclearCents', (select coalesce(sum(r.amount_cents), 0) from external_requests r
        where r.business_id = w.business_id and r.work_order_id = w.id and r.kind = 'cardCharge' and r.status = 'asked')) as summary
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

create or replace function add_history_partitions(months integer) returns void language plpgsql as $$
declare
  first_day date;
  name text;
begin
  if to_regclass('history_before') is null then
    execute format('create table history_before partition of history for values from (minvalue) to (%L)',
      date_trunc('month', now() at time zone 'utc') at time zone 'utc');
    alter table history_before enable row level security;
  end if;
  for ahead in 0..months loop
    first_day := date_trunc('month', now() at time zone 'utc') + make_interval(months => ahead);
    name := 'history_' || to_char(first_day, 'YYYY_MM');
    if to_regclass(name) is null then
      execute format('create table %I partition of history for values from (%L) to (%L)', name,
        first_day::timestamp at time zone 'utc', (first_day + interval '1 month')::timestamp at time zone 'utc');
      execute format('alter table %I enable row level security', name);
    end if;
  end loop;
end $$;

-- Whose rows are seen is set in one place for all statements, and no longer by what begins a command.
do $$
declare
  own text := pg_get_functiondef('begin_commands'::regproc);
begin
  execute replace(own, 'perform set_config(''mechanon.business_id'', business::text, true);', '');
end $$;

-- Looked through by parts and ends of words. Behind a policy PostgreSQL uses no index for either, since it does not know
-- of the functions whether they keep to themselves what they are given; a view of the owner's own does.
create view own_search_words as select * from search_words where business_id = current_business();
create view own_customer_keys as select * from customer_keys where business_id = current_business();
-- Statistics of a table with a policy are shown to its owner only.
create function frequent_words() returns table (word text, customers integer)
  language sql stable security definer set search_path = pg_catalog, pg_temp as $$
  select often.word, (share * reltuples)::int
  from pg_stats join pg_class on pg_class.oid = 'public.customer_words'::regclass
  cross join unnest(most_common_vals::text::text[], most_common_freqs) as often(word, share)
  where schemaname = 'public' and tablename = 'customer_words' and attname = 'word'
$$;

-- Puts a job of this business in line; nothing else of the queue is the server's to see.
create function queue_job(
  task text, payload json, run_at timestamptz default null, max_attempts integer default null, job_key text default null,
  queue_name text default null
) returns void language plpgsql security definer set search_path = pg_catalog, pg_temp as $$
begin
  if public.current_business() is null or (payload->>'businessId')::uuid is distinct from public.current_business() then
    raise insufficient_privilege using message = 'a job of another business';
  end if;
  perform graphile_worker.add_job(task, payload, queue_name => queue_job.queue_name, run_at => queue_job.run_at,
    max_attempts => queue_job.max_attempts, job_key => queue_job.job_key);
end $$;

-- Whose business it is, before it is known: by the name typed, the session's token, a link that was sent.
alter table directory.sessions
  add column id uuid not null default gen_random_uuid(),
  add column device text not null default '',
  add column started_at timestamptz not null default now(),
  add column seen_at timestamptz not null default now();
create unique index sessions_id on directory.sessions (business_id, person_id, id);
-- Devices somebody signed in on before: wrong passwords typed elsewhere do not shut them out.
create table directory.devices (
  token_hash bytea primary key,
  business_id uuid not null,
  person_id uuid not null,
  used_at timestamptz not null default now()
);
alter table directory.devices enable row level security;
create policy own_rows on directory.devices using (business_id = current_business());
create index devices_person on directory.devices (business_id, person_id);

create function directory.find_login(given_login text) returns table (business_id uuid, person_id uuid, password_hash text)
  language sql stable security definer set search_path = pg_catalog, pg_temp as $$
  select p.business_id, p.id, p.password_hash from directory.logins l
  join public.people p on p.business_id = l.business_id and p.id = l.person_id where l.login = given_login
$$;
create function directory.find_session(given_hash bytea) returns table (
  session_id uuid, business_id uuid, time_zone text, business_name text, id uuid, name text, rights jsonb, role text,
  is_mechanic boolean, seen_at timestamptz, expires_at timestamptz
) language sql stable security definer set search_path = pg_catalog, pg_temp as $$
  select s.id, p.business_id, b.time_zone, b.name, p.id, p.name, to_jsonb(p.rights), p.role, p.is_mechanic, s.seen_at, s.expires_at
  from directory.sessions s join public.people p on p.business_id = s.business_id and p.id = s.person_id
  join public.businesses b on b.id = s.business_id
  where s.token_hash = given_hash and s.expires_at > now()
$$;
create function directory.end_session(given_hash bytea) returns table (session_id uuid, business_id uuid)
  language sql security definer set search_path = pg_catalog, pg_temp as $$
  delete from directory.sessions s where s.token_hash = given_hash returning s.id, s.business_id
$$;
create function directory.is_known_device(given_hash bytea, business uuid, person uuid) returns boolean
  language sql stable security definer set search_path = pg_catalog, pg_temp as $$
  select exists (select from directory.devices d where d.token_hash = given_hash and d.business_id = business and d.person_id = person)
$$;
create function directory.demo_accounts() returns table (login text, password text, name text, role text)
  language sql stable security definer set search_path = pg_catalog, pg_temp as $$
  select p.login, p.demo_password, p.name, p.role from public.people p join public.businesses b on b.id = p.business_id
  where b.is_demo and p.demo_password is not null order by p.login
$$;

-- A link shows the receipt it was sent with, to the customer it was sent to, and ends.
alter table directory.receipt_links
  add column customer_id uuid,
  add column vehicle_id uuid,
  -- Empty for those of before: filled when they are opened next.
  add column receipt jsonb,
  add column sent_to text not null default '',
  add column called_back_at timestamptz;
update directory.receipt_links l set customer_id = w.customer_id, vehicle_id = w.vehicle_id
  from work_orders w where w.business_id = l.business_id and w.id = l.work_order_id;
-- Who a customer is by now: two records that became one are one.
create function kept_customer(business uuid, customer uuid) returns uuid language sql stable as $$
  with recursive led as (
    select id, merged_into from customers where business_id = business and id = customer
    union all
    select c.id, c.merged_into from led join customers c on c.business_id = business and c.id = led.merged_into
  )
  select id from led where merged_into is null
$$;
create function directory.find_receipt_link(given_token text) returns table (
  business_id uuid, work_order_id uuid, customer_id uuid, vehicle_id uuid, receipt jsonb, created_at timestamptz,
  called_back_at timestamptz
) language sql stable security definer set search_path = pg_catalog, pg_temp as $$
  select l.business_id, l.work_order_id, l.customer_id, l.vehicle_id, l.receipt, l.created_at, l.called_back_at
  from directory.receipt_links l where l.token = given_token
$$;

revoke execute on function frequent_words(), queue_job(text, json, timestamptz, integer, text, text),
  directory.find_login(text), directory.find_session(bytea), directory.end_session(bytea),
  directory.is_known_device(bytea, uuid, uuid), directory.demo_accounts(), directory.find_receipt_link(text) from public;

-- Counts of wrong passwords, and of what costs money or reaches somebody.
alter table if exists sign_in_tries rename to request_counts;
create table if not exists request_counts (key varchar(255) primary key, points integer not null default 0, expire bigint);
`;
