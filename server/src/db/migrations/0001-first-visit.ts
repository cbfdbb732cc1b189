/** The tables of a first visit: people, customers, cars, work orders, visits, and the history of all commands. */
export const up = `
create table businesses (
  id uuid primary key,
  name text not null,
  time_zone text not null,
  settings jsonb not null,
  next_number integer not null default 1001,
  is_demo boolean not null default false
);

create table people (
  business_id uuid not null references businesses,
  id uuid not null,
  login text not null unique,
  name text not null,
  role text not null,
  is_mechanic boolean not null,
  rights text[] not null,
  password_hash text not null,
  demo_password text,
  primary key (business_id, id)
);

create table sessions (
  token_hash bytea primary key,
  business_id uuid not null,
  person_id uuid not null,
  expires_at timestamptz not null,
  foreign key (business_id, person_id) references people on delete cascade
);

create table customers (
  business_id uuid not null references businesses,
  id uuid not null,
  name text not null,
  phone text,
  email text,
  place jsonb,
  tax_exempt boolean not null default false,
  version integer not null default 1,
  created_at timestamptz not null default now(),
  primary key (business_id, id)
);
create index customers_phone on customers (business_id, phone);

create table vehicles (
  business_id uuid not null references businesses,
  id uuid not null,
  customer_id uuid not null,
  vin text,
  plate text,
  plate_key text,
  region text,
  year integer,
  make text,
  model text,
  trim text,
  engine text,
  drive text,
  color text,
  version integer not null default 1,
  created_at timestamptz not null default now(),
  primary key (business_id, id),
  foreign key (business_id, customer_id) references customers
);
create unique index vehicles_vin on vehicles (business_id, vin) where vin is not null;
create unique index vehicles_plate on vehicles (business_id, region, plate_key) where plate_key is not null;
create index vehicles_customer on vehicles (business_id, customer_id);

create table library_jobs (
  business_id uuid not null references businesses,
  id text not null,
  position integer not null,
  job jsonb not null,
  primary key (business_id, id)
);

create table work_orders (
  business_id uuid not null references businesses,
  id uuid not null,
  number integer not null,
  customer_id uuid not null,
  vehicle_id uuid not null,
  revision integer not null,
  state jsonb not null,
  -- What lists ask for, derived from the state and the visits whenever either changes.
  waits_for text,
  waits_since timestamptz not null,
  total_cents bigint not null,
  due_cents bigint not null,
  open_conflicts integer not null,
  opened_at timestamptz not null,
  primary key (business_id, id),
  unique (business_id, number),
  foreign key (business_id, customer_id) references customers,
  foreign key (business_id, vehicle_id) references vehicles
);
create index work_orders_waiting on work_orders (business_id, waits_since) where waits_for is not null;
create index work_orders_customer on work_orders (business_id, customer_id);
create index work_orders_vehicle on work_orders (business_id, vehicle_id);

create table visits (
  business_id uuid not null references businesses,
  id uuid not null,
  revision integer not null,
  mechanic_id uuid not null,
  starts_at timestamptz not null,
  ends_at timestamptz not null,
  cancelled boolean not null,
  state jsonb not null,
  primary key (business_id, id),
  foreign key (business_id, mechanic_id) references people,
  check (ends_at > starts_at)
);
create index visits_day on visits (business_id, starts_at);

create table visit_work_orders (
  business_id uuid not null,
  visit_id uuid not null,
  work_order_id uuid not null,
  primary key (business_id, visit_id, work_order_id),
  foreign key (business_id, visit_id) references visits,
  foreign key (business_id, work_order_id) references work_orders
);
create index visit_work_orders_by_order on visit_work_orders (business_id, work_order_id);

-- Every command ever sent, refused ones too: the id answers a retry, the rows are the history.
create table commands (
  business_id uuid not null references businesses,
  id uuid not null,
  aggregate text not null check (aggregate in ('workOrder', 'visit')),
  aggregate_id uuid not null,
  revision integer not null,
  body jsonb not null,
  outcome jsonb not null,
  person_id uuid not null,
  given_at timestamptz not null,
  recorded_at timestamptz not null default now(),
  primary key (business_id, id)
);
create index commands_history on commands (business_id, aggregate_id, revision);

create table photos (
  business_id uuid not null references businesses,
  id uuid not null,
  type text not null,
  bytes bytea not null,
  created_at timestamptz not null default now(),
  primary key (business_id, id)
);

-- Money and orders that left for the outside; 'asked' until its answer is known.
create table card_charges (
  business_id uuid not null,
  id uuid not null,
  work_order_id uuid not null,
  amount_cents bigint not null,
  status text not null check (status in ('asked', 'taken', 'declined')),
  reason text,
  asked_at timestamptz not null default now(),
  primary key (business_id, id),
  foreign key (business_id, work_order_id) references work_orders
);
create table part_orders (
  business_id uuid not null,
  id uuid not null,
  work_order_id uuid not null,
  items jsonb not null,
  status text not null check (status in ('asked', 'confirmed', 'refused')),
  asked_at timestamptz not null default now(),
  primary key (business_id, id),
  foreign key (business_id, work_order_id) references work_orders
);

create table messages (
  business_id uuid not null references businesses,
  id uuid not null,
  work_order_id uuid,
  recipient text not null,
  text text not null,
  status text not null check (status in ('waiting', 'sent')),
  last_error text,
  created_at timestamptz not null default now(),
  sent_at timestamptz,
  primary key (business_id, id)
);
create index messages_work_order on messages (business_id, work_order_id);

create table receipt_links (
  token text primary key,
  business_id uuid not null,
  work_order_id uuid not null,
  created_at timestamptz not null default now(),
  foreign key (business_id, work_order_id) references work_orders
);

create table idempotency_keys (
  business_id uuid not null references businesses,
  key uuid not null,
  request_hash text not null,
  status integer not null,
  answer jsonb not null,
  created_at timestamptz not null default now(),
  primary key (business_id, key)
);
`;
