/**
 * Storage that grows: nothing here goes through all rows that are kept; what has to is done behind the listening server
 * (see db/behind). Commands' ids apart from their history, requests to the outside, the ledger, versions of what commands
 * are applied with, and the functions a command is begun and stored by.
 */
export const up = `
create extension if not exists btree_gist;

-- What crosses businesses stands apart, without constraints into their tables: a small directory of logins and links.
create schema directory;
create table directory.logins (
  login text primary key,
  business_id uuid not null,
  person_id uuid not null
);
insert into directory.logins select login, business_id, id from people;
alter table people drop constraint people_login_key, add unique (business_id, login);
create function directory.keep_login() returns trigger language plpgsql as $$
begin
  if tg_op <> 'INSERT' then
    delete from directory.logins where business_id = old.business_id and person_id = old.id;
  end if;
  if tg_op <> 'DELETE' then
    insert into directory.logins values (new.login, new.business_id, new.id);
  end if;
  return null;
end $$;
create trigger people_login after insert or delete or update of login on people
  for each row execute function directory.keep_login();
alter table sessions drop constraint sessions_business_id_person_id_fkey;
alter table sessions set schema directory;
alter table receipt_links drop constraint receipt_links_business_id_work_order_id_fkey;
alter table receipt_links set schema directory;
create index receipt_links_work_order on directory.receipt_links (business_id, work_order_id);

-- What commands are applied with is kept in the server's memory by these counts.
alter table businesses
  add column settings_version integer not null default 1,
  add column library_version integer not null default 1;
create function count_library_change() returns trigger language plpgsql as $$
begin
  if tg_op = 'DELETE' then
    update businesses set library_version = library_version + 1 where id in (select business_id from gone);
  else
    update businesses set library_version = library_version + 1 where id in (select business_id from kept);
  end if;
  return null;
end $$;
create trigger library_added after insert on library_jobs referencing new table as kept
  for each statement execute function count_library_change();
create trigger library_changed after update on library_jobs referencing new table as kept
  for each statement execute function count_library_change();
create trigger library_removed after delete on library_jobs referencing old table as gone
  for each statement execute function count_library_change();
create function count_settings_change() returns trigger language plpgsql as $$
begin
  new.settings_version = old.settings_version + 1;
  return new;
end $$;
create trigger settings_changed before update of settings on businesses
  for each row when (old.settings is distinct from new.settings) execute function count_settings_change();

create table suppliers (
  business_id uuid not null references businesses,
  id text not null,
  name text not null,
  position integer not null default 0,
  primary key (business_id, id)
);
-- The one supplier there was until now.
insert into suppliers (business_id, id, name) select id, 'gull-harbor', 'Gull Harbor Parts' from businesses;

alter table work_orders
  alter column customer_id drop not null,
  -- Written by each command; null where none came since this column is there.
  add column concerns text[],
  -- Which way of writing the ledger its rows were written with; 0: not yet.
  add column ledger_version smallint not null default 0;

alter table visits
  add column set_off_at timestamptz,
  add column arrived_at timestamptz,
  add column left_at timestamptz,
  -- True where a busy mechanic was booked on purpose, and for those of before, which did not say.
  add column overlap_allowed boolean not null default true,
  add constraint visits_keep_apart exclude using gist (
    business_id with =, mechanic_id with =, tstzrange(starts_at, ends_at) with &&
  ) where (not cancelled and left_at is null and not overlap_allowed);

-- The ids of all commands ever sent, for good: a retry is answered from here. Their history is kept by months.
create table command_ids (
  business_id uuid not null references businesses,
  id uuid not null,
  aggregate_id uuid not null,
  body_hash bytea not null,
  outcome jsonb not null,
  primary key (business_id, id)
);
create table history (
  business_id uuid not null references businesses,
  aggregate_id uuid not null,
  recorded_at timestamptz not null default now(),
  command_id uuid not null,
  aggregate text not null check (aggregate in ('workOrder', 'visit')),
  revision integer not null,
  body jsonb not null,
  outcome jsonb not null,
  person_id uuid not null,
  given_at timestamptz not null,
  primary key (business_id, aggregate_id, recorded_at, command_id),
  foreign key (business_id, person_id) references people
) partition by range (recorded_at);
create function add_history_partitions(months integer) returns void language plpgsql as $$
declare
  first_day date;
  name text;
begin
  if to_regclass('history_before') is null then
    execute format('create table history_before partition of history for values from (minvalue) to (%L)',
      date_trunc('month', now() at time zone 'utc') at time zone 'utc');
  end if;
  for ahead in 0..months loop
    first_day := date_trunc('month', now() at time zone 'utc') + make_interval(months => ahead);
    name := 'history_' || to_char(first_day, 'YYYY_MM');
    if to_regclass(name) is null then
      execute format('create table %I partition of history for values from (%L) to (%L)', name,
        first_day::timestamp at time zone 'utc', (first_day + interval '1 month')::timestamp at time zone 'utc');
    end if;
  end loop;
end $$;
select add_history_partitions(12);

-- What leaves for the outside: reserved first, sent under one id, settled when it is known what became of it.
create table external_requests (
  business_id uuid not null references businesses,
  id uuid not null,
  kind text not null check (kind in ('partsOrder', 'cardCharge')),
  -- What the other side knows it by: of before, the id alone.
  key text not null,
  work_order_id uuid not null,
  supplier_id text,
  amount_cents bigint,
  -- 'lapsed': the other side never heard of it, so it was not done.
  status text not null check (status in ('asked', 'done', 'refused', 'lapsed')),
  answer jsonb,
  person_id uuid not null,
  asked_at timestamptz not null default now(),
  settled_at timestamptz,
  primary key (business_id, id),
  foreign key (business_id, work_order_id) references work_orders,
  foreign key (business_id, person_id) references people,
  foreign key (business_id, supplier_id) references suppliers,
  check ((kind = 'cardCharge') = (amount_cents is not null)),
  check ((kind = 'partsOrder') = (supplier_id is not null)),
  check ((status = 'asked') = (settled_at is null))
);
create index external_requests_work_order on external_requests (business_id, work_order_id, asked_at);
create index external_requests_asked on external_requests (business_id, asked_at) where status = 'asked';
create table external_request_lines (
  business_id uuid not null,
  request_id uuid not null,
  work_order_id uuid not null,
  line_id uuid not null,
  part_number text not null,
  quantity numeric not null check (quantity > 0),
  cost_cents bigint not null,
  is_reserved boolean not null,
  primary key (business_id, request_id, line_id),
  foreign key (business_id, request_id) references external_requests on delete cascade
);
-- A line is on its way to one supplier at a time.
create unique index external_request_lines_reserved
  on external_request_lines (business_id, work_order_id, line_id) where is_reserved;
-- What is not settled moves now; the rest, which only tells of the past, behind the server.
insert into external_requests (business_id, id, kind, key, work_order_id, supplier_id, status, person_id, asked_at)
  select o.business_id, o.id, 'partsOrder', o.id::text, o.work_order_id, 'gull-harbor', 'asked', (w.state->>'openedBy')::uuid, o.asked_at
  from part_orders o join work_orders w on w.business_id = o.business_id and w.id = o.work_order_id where o.status = 'asked';
insert into external_request_lines
  select distinct on (o.business_id, o.work_order_id, item->>'lineId') o.business_id, o.id, o.work_order_id, (item->>'lineId')::uuid,
    item->>'partNumber', (item->>'quantity')::numeric, (item->>'costCents')::bigint, true
  from part_orders o, jsonb_array_elements(o.items) item where o.status = 'asked' and (item->>'quantity')::numeric > 0
  order by o.business_id, o.work_order_id, item->>'lineId', o.asked_at;
insert into external_requests (business_id, id, kind, key, work_order_id, amount_cents, status, person_id, asked_at)
  select c.business_id, c.id, 'cardCharge', c.id::text, c.work_order_id, c.amount_cents, 'asked', (w.state->>'openedBy')::uuid, c.asked_at
  from card_charges c join work_orders w on w.business_id = c.business_id and w.id = c.work_order_id where c.status = 'asked'
  on conflict do nothing;
delete from part_orders where status = 'asked';
delete from card_charges where status = 'asked';

-- The ledger: money, bills, approvals and part orders as lists and reports ask for them, written with each command.
create table bills (
  business_id uuid not null,
  work_order_id uuid not null,
  payer text not null,
  total_cents bigint not null,
  paid_cents bigint not null,
  due_cents bigint not null check (due_cents >= 0),
  primary key (business_id, work_order_id, payer),
  foreign key (business_id, work_order_id) references work_orders on delete cascade
);
create index bills_due on bills (business_id) include (due_cents) where due_cents > 0;
create table payments (
  business_id uuid not null,
  work_order_id uuid not null,
  position integer not null,
  id uuid not null,
  at timestamptz not null,
  person_id uuid not null,
  method text not null check (method in ('card', 'cash')),
  status text not null check (status in ('taken', 'declined')),
  amount_cents bigint not null check (amount_cents >= 0),
  tendered_cents bigint,
  primary key (business_id, work_order_id, position),
  foreign key (business_id, work_order_id) references work_orders on delete cascade
);
create index payments_at on payments (business_id, at) include (method, status, amount_cents);
create table approvals (
  business_id uuid not null,
  work_order_id uuid not null,
  position integer not null,
  id uuid not null,
  at timestamptz not null,
  person_id uuid not null,
  way text not null check (way in ('signed', 'spoken')),
  total_cents bigint not null,
  primary key (business_id, work_order_id, position),
  foreign key (business_id, work_order_id) references work_orders on delete cascade
);
create index approvals_at on approvals (business_id, at);
create table approval_answers (
  business_id uuid not null,
  work_order_id uuid not null,
  position integer not null,
  job_id uuid not null,
  answer text not null check (answer in ('yes', 'later', 'no')),
  total_cents bigint not null,
  at timestamptz not null,
  primary key (business_id, work_order_id, position),
  foreign key (business_id, work_order_id) references work_orders on delete cascade
);
create table ordered_parts (
  business_id uuid not null,
  work_order_id uuid not null,
  position integer not null,
  order_id uuid not null,
  order_number text not null,
  supplier_id text,
  line_id uuid not null,
  part_number text not null,
  quantity numeric not null,
  cost_cents bigint,
  received_quantity numeric not null,
  ordered_at timestamptz not null,
  primary key (business_id, work_order_id, position),
  foreign key (business_id, work_order_id) references work_orders on delete cascade
);
create index ordered_parts_at on ordered_parts (business_id, ordered_at);

create function store_ledger(business uuid, work_order uuid, ledger jsonb) returns void language plpgsql as $$
begin
  if ledger ? 'bills' then
    insert into bills as kept select business, work_order, given.* from jsonb_to_recordset(ledger->'bills')
        as given (payer text, total_cents bigint, paid_cents bigint, due_cents bigint)
      on conflict (business_id, work_order_id, payer) do update
        set total_cents = excluded.total_cents, paid_cents = excluded.paid_cents, due_cents = excluded.due_cents
        where (kept.total_cents, kept.paid_cents, kept.due_cents)
          is distinct from (excluded.total_cents, excluded.paid_cents, excluded.due_cents);
    delete from bills where business_id = business and work_order_id = work_order
      and payer not in (select given->>'payer' from jsonb_array_elements(ledger->'bills') given);
  end if;
  if ledger ? 'payments' then
    insert into payments as kept select business, work_order, given.* from jsonb_to_recordset(ledger->'payments')
        as given (position integer, id uuid, at timestamptz, person_id uuid, method text, status text,
          amount_cents bigint, tendered_cents bigint)
      on conflict (business_id, work_order_id, position) do update
        set id = excluded.id, at = excluded.at, person_id = excluded.person_id, method = excluded.method,
          status = excluded.status, amount_cents = excluded.amount_cents, tendered_cents = excluded.tendered_cents
        where row(kept.*) is distinct from row(excluded.*);
    delete from payments where business_id = business and work_order_id = work_order
      and position >= jsonb_array_length(ledger->'payments');
  end if;
  if ledger ? 'approvals' then
    insert into approvals as kept select business, work_order, given.* from jsonb_to_recordset(ledger->'approvals')
        as given (position integer, id uuid, at timestamptz, person_id uuid, way text, total_cents bigint)
      on conflict (business_id, work_order_id, position) do update
        set id = excluded.id, at = excluded.at, person_id = excluded.person_id, way = excluded.way, total_cents = excluded.total_cents
        where row(kept.*) is distinct from row(excluded.*);
    delete from approvals where business_id = business and work_order_id = work_order
      and position >= jsonb_array_length(ledger->'approvals');
    insert into approval_answers as kept select business, work_order, given.* from jsonb_to_recordset(ledger->'approval_answers')
        as given (position integer, job_id uuid, answer text, total_cents bigint, at timestamptz)
      on conflict (business_id, work_order_id, position) do update
        set job_id = excluded.job_id, answer = excluded.answer, total_cents = excluded.total_cents, at = excluded.at
        where row(kept.*) is distinct from row(excluded.*);
    delete from approval_answers where business_id = business and work_order_id = work_order
      and position >= jsonb_array_length(ledger->'approval_answers');
  end if;
  if ledger ? 'ordered_parts' then
    insert into ordered_parts as kept select business, work_order, given.* from jsonb_to_recordset(ledger->'ordered_parts')
        as given (position integer, order_id uuid, order_number text, supplier_id text, line_id uuid, part_number text,
          quantity numeric, cost_cents bigint, received_quantity numeric, ordered_at timestamptz)
      on conflict (business_id, work_order_id, position) do update
        set order_id = excluded.order_id, order_number = excluded.order_number, supplier_id = excluded.supplier_id,
          line_id = excluded.line_id, part_number = excluded.part_number, quantity = excluded.quantity,
          cost_cents = excluded.cost_cents, received_quantity = excluded.received_quantity, ordered_at = excluded.ordered_at
        where row(kept.*) is distinct from row(excluded.*);
    delete from ordered_parts where business_id = business and work_order_id = work_order
      and position >= jsonb_array_length(ledger->'ordered_parts');
  end if;
end $$;

-- Begins the commands of one aggregate: sets whose rows may be seen, takes the aggregate's lock (also for one that is
-- only now made), and reads all that most commands need. What a retry was answered is told by its id and body.
create function begin_commands(business uuid, kind text, aggregate uuid, sent jsonb) returns jsonb language plpgsql as $$
declare
  got jsonb;
begin
  perform set_config('mechanon.business_id', business::text, true);
  perform pg_advisory_xact_lock(hashtextextended(business::text || '/' || aggregate::text, 0));
  if kind = 'workOrder' then
    select jsonb_build_object('number', number, 'revision', revision, 'state', state, 'ledgerVersion', ledger_version) into got
      from work_orders where business_id = business and id = aggregate for update;
    got := jsonb_build_object('row', got, 'visits', (select coalesce(jsonb_agg(v.state order by v.starts_at), '[]')
      from visit_work_orders l join visits v on v.business_id = l.business_id and v.id = l.visit_id
      where l.business_id = business and l.work_order_id = aggregate));
  else
    select jsonb_build_object('row', jsonb_build_object('revision', revision, 'state', state)) into got
      from visits where business_id = business and id = aggregate for update;
  end if;
  return coalesce(got, '{}') || (
    select jsonb_build_object('settingsVersion', settings_version, 'libraryVersion', library_version)
    from businesses where id = business
  ) || jsonb_build_object('known', (
    select coalesce(jsonb_object_agg(known.id, jsonb_build_object('outcome', known.outcome,
      'isSame', known.aggregate_id = aggregate and known.body_hash = sha256(convert_to(asked.body::text, 'UTF8')))), '{}')
    from jsonb_to_recordset(sent) as asked (id uuid, body jsonb)
    join (
      select c.id, c.aggregate_id, c.body_hash, c.outcome from command_ids c where c.business_id = business
      union all
      -- Those of before that were not moved yet.
      select c.id, c.aggregate_id, sha256(convert_to(c.body::text, 'UTF8')), c.outcome from commands c where c.business_id = business
    ) known on known.id = asked.id
  ));
end $$;

-- Keeps commands in the history, and their ids for good.
create function store_history(business uuid, kind text, aggregate uuid, person uuid, sent jsonb) returns void language plpgsql as $$
begin
  insert into command_ids (business_id, id, aggregate_id, body_hash, outcome)
    select business, given.id, aggregate, sha256(convert_to(given.body::text, 'UTF8')), given.outcome
    from jsonb_to_recordset(sent) as given (id uuid, body jsonb, outcome jsonb);
  insert into history (business_id, aggregate_id, command_id, aggregate, revision, body, outcome, person_id, given_at, recorded_at)
    select business, aggregate, given.id, kind, given.revision, given.body, given.outcome, person, given.at, clock_timestamp()
    from jsonb_to_recordset(sent) as given (id uuid, body jsonb, outcome jsonb, revision integer, at timestamptz);
end $$;

-- Stores what commands made of a work order, with its ledger, its history, and the notice to others. Gives its number.
create function store_work_order(
  business uuid, work_order uuid, person uuid, changed jsonb, lists jsonb, ledger jsonb, ledger_as smallint, sent jsonb
) returns integer language plpgsql as $$
declare
  given_number integer;
begin
  if changed is not null then
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
      'revision', (changed->>'revision')::integer)::text);
  end if;
  perform store_history(business, 'workOrder', work_order, person, sent);
  return given_number;
end $$;

-- Stores what commands made of a visit, with its times, its history, and the notice to others.
create function store_visit(business uuid, visit uuid, person uuid, changed jsonb, sent jsonb) returns void language plpgsql as $$
declare
  state_now jsonb := changed->'state';
begin
  if changed is not null then
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
      'revision', (changed->>'revision')::integer, 'workOrderIds', state_now->'workOrderIds')::text);
  end if;
  perform store_history(business, 'visit', visit, person, sent);
end $$;

create function iso(moment timestamptz) returns text language sql stable parallel safe as $$
  select to_char(moment at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')
$$;

-- A work order as lists show it.
create view work_order_summaries as
  select w.business_id, w.id, w.number, w.customer_id, w.vehicle_id, w.waits_for, w.waits_since, w.opened_at,
    json_build_object('id', w.id, 'number', w.number, 'customerId', w.customer_id, 'customerName', coalesce(c.name, ''),
      'year', v.year, 'make', v.make, 'model', v.model, 'hasVehicle', v.id is not null, 'plate', v.plate,
      'concerns', coalesce(w.concerns, array(select item->>'text' from jsonb_array_elements(w.state->'concerns') item)),
      'waitsFor', w.waits_for, 'since', iso(w.waits_since), 'totalCents', w.total_cents, 'dueCents', w.due_cents,
      'conflicts', w.open_conflicts, 'openedAt', iso(w.opened_at), 'nextVisitAt', iso(coming.starts_at)) as summary
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

-- What is done behind the listening server, batch by batch, and how far each got.
create table behind (
  name text primary key,
  at jsonb not null default '{}',
  done_at timestamptz
);
`;
