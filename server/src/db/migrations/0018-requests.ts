/** Visits customers ask for, their private pages, and messages both ways. */
export const up = `
-- A visit a customer asked for, until somebody agrees, and what became of it.
create table requests (
  business_id uuid not null references businesses,
  -- Made by the page that asks, so that asking twice asks once.
  id uuid not null,
  asked jsonb not null,
  -- Of all that was sent: whoever sends the same again is answered the same.
  asked_hash text not null,
  status text not null check (status in ('waiting', 'offered', 'agreed', 'declined', 'withdrawn')),
  -- As they are kept of customers; what is matched and counted by.
  phone text,
  email text,
  -- Made with it, so that whoever agrees twice, or after the server died in between, makes one of each.
  work_order_id uuid not null,
  visit_id uuid not null,
  new_customer_id uuid not null,
  new_vehicle_id uuid not null,
  -- Who they turned out to be, once somebody agreed.
  customer_id uuid,
  vehicle_id uuid,
  taken_by uuid,
  taken_at timestamptz,
  -- Other times, for the customer to pick of.
  offered jsonb not null default '[]',
  -- What the customer was told with them, or why not.
  words text not null default '',
  created_at timestamptz not null default now(),
  primary key (business_id, id)
);
create index requests_newest on requests (business_id, created_at);
create index requests_of_customer on requests (business_id, customer_id);
alter table requests enable row level security;
create policy own_rows on requests using (business_id = current_business());

-- Photos from customers: sent with a request, before or after it, or for a work order. One nobody sent a request for goes.
create table customer_photos (
  business_id uuid not null references businesses,
  photo_id uuid not null,
  request_id uuid,
  work_order_id uuid,
  arrived_at timestamptz not null default now(),
  primary key (business_id, photo_id),
  check (request_id is not null or work_order_id is not null)
);
create index customer_photos_of_request on customer_photos (business_id, request_id);
create index customer_photos_of_order on customer_photos (business_id, work_order_id);
alter table customer_photos enable row level security;
create policy own_rows on customer_photos using (business_id = current_business());

-- The name under which the public can ask for a visit.
create table directory.ask_pages (
  slug text primary key,
  business_id uuid not null unique
);
alter table directory.ask_pages enable row level security;
create policy own_rows on directory.ask_pages using (business_id = current_business());
insert into directory.ask_pages (slug, business_id)
  select 'visit-' || substr(replace(id::text, '-', ''), 21), id from businesses;
create function directory.find_ask_page(given_slug text) returns table (business_id uuid)
  language sql stable security definer set search_path = pg_catalog, pg_temp as $$
  select p.business_id from directory.ask_pages p where p.slug = given_slug
$$;
revoke execute on function directory.find_ask_page(text) from public;

-- A customer's private page: what it was sent for is seen by whoever has the link, the rest by who proves to be them.
create table directory.page_links (
  token text primary key,
  business_id uuid not null,
  request_id uuid,
  work_order_id uuid,
  -- Whom it was made for; null: a request nobody agreed to yet.
  customer_id uuid,
  created_at timestamptz not null default now(),
  ends_at timestamptz not null,
  called_back_at timestamptz,
  check (request_id is not null or work_order_id is not null)
);
create index page_links_of_order on directory.page_links (business_id, work_order_id);
create index page_links_of_request on directory.page_links (business_id, request_id);
alter table directory.page_links enable row level security;
create policy own_rows on directory.page_links using (business_id = current_business());
create function directory.find_page_link(given_token text) returns table (
  business_id uuid, request_id uuid, work_order_id uuid, customer_id uuid, ends_at timestamptz, called_back_at timestamptz
) language sql stable security definer set search_path = pg_catalog, pg_temp as $$
  select l.business_id, l.request_id, l.work_order_id, l.customer_id, l.ends_at, l.called_back_at
  from directory.page_links l where l.token = given_token
$$;
revoke execute on function directory.find_page_link(text) from public;

-- One-time codes by which a customer proves to be who is kept, and what came of it: a secret the browser keeps.
create table customer_codes (
  business_id uuid not null references businesses,
  id uuid not null default gen_random_uuid(),
  token text not null,
  customer_id uuid not null,
  code_hash text not null,
  tries integer not null default 0,
  expires_at timestamptz not null,
  used_at timestamptz,
  proof_hash text,
  proof_ends_at timestamptz,
  created_at timestamptz not null default now(),
  primary key (business_id, id)
);
create index customer_codes_of_link on customer_codes (business_id, token, created_at);
alter table customer_codes enable row level security;
create policy own_rows on customer_codes using (business_id = current_business());

-- Messages go out as texts or mails, of a kind, and come in.
alter table messages
  add column kind text,
  add column channel text not null default 'text' check (channel in ('text', 'mail', 'page')),
  add column subject text,
  add column is_incoming boolean not null default false,
  add column customer_id uuid,
  add column request_id uuid,
  add column visit_id uuid,
  -- Of one that did not arrive and is sent once more.
  add column attempt integer not null default 0,
  add column delivered_at timestamptz,
  -- Of one that came in: when somebody saw to it.
  add column answered_at timestamptz,
  drop constraint messages_status_check,
  add constraint messages_status_check check (status in
    ('asks', 'waiting', 'sent', 'delivered', 'failed', 'stopped', 'dropped', 'received'));
create index messages_open on messages (business_id, created_at)
  where status = 'asks' or status = 'failed' or is_incoming and answered_at is null;
create index messages_to on messages (business_id, recipient, created_at);

-- Numbers that said stop and belong to no customer yet.
create table stopped_reaches (
  business_id uuid not null references businesses,
  reach text not null,
  at timestamptz not null default now(),
  primary key (business_id, reach)
);
alter table stopped_reaches enable row level security;
create policy own_rows on stopped_reaches using (business_id = current_business());

-- Null: a customer did it by themselves.
alter table history alter column person_id drop not null;

-- A new time may be asked about because a gap opened, too.
alter table move_asks add column for_gap boolean not null default false, add column subject text;
`;
