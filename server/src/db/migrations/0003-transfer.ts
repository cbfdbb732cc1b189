/** Customers brought in from files: each file, each of its rows, and what became of it. */
export const up = `
create table imports (
  business_id uuid not null references businesses,
  id uuid not null,
  file_name text not null,
  bytes bytea not null,
  format text not null check (format in ('csv', 'vcard')),
  status text not null check (status in ('reading', 'read', 'checking', 'checked', 'running', 'done', 'undoing', 'undone', 'failed')),
  encoding text not null,
  columns jsonb not null,
  mapping jsonb not null,
  doubles text not null check (doubles in ('fill', 'skip', 'add')),
  row_count integer not null default 0,
  done_count integer not null default 0,
  kept_by_undo integer,
  problem text,
  person_id uuid not null,
  created_at timestamptz not null default now(),
  primary key (business_id, id)
);
create table import_rows (
  business_id uuid not null,
  import_id uuid not null,
  row integer not null,
  cells jsonb not null,
  outcome text check (outcome in ('new', 'joins', 'fills', 'skips', 'fault')),
  name text not null default '',
  remarks text[] not null default '{}',
  -- Whom the row goes to: the customer it fills, or the one the row it joins makes.
  joins_row integer,
  customer_id uuid,
  -- What was really done, so that it can be taken back.
  chosen boolean not null default true,
  applied boolean not null default false,
  vehicle_id uuid,
  before jsonb,
  version_after integer,
  primary key (business_id, import_id, row),
  foreign key (business_id, import_id) references imports on delete cascade
);
create index import_rows_outcome on import_rows (business_id, import_id, outcome, row);
create index import_rows_customer on import_rows (business_id, customer_id) where customer_id is not null;
`;
