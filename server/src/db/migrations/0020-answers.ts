/** What was agreed as frozen copies in a chain, and answers given on the customer's page. */
export const up = `
alter table approvals drop constraint approvals_way_check,
  add constraint approvals_way_check check (way in ('signed', 'spoken', 'page'));

-- Frozen copies of what was agreed; each names the link of the one before. Who agreed goes when a person is erased, with the
-- salts it could be found out by; its digest stays.
create table agreed_copies (
  business_id uuid not null references businesses,
  place integer not null check (place > 0),
  work_order_id uuid not null,
  -- Of the answer, or of taking it back.
  agreed_id uuid not null,
  facts jsonb not null,
  person jsonb,
  photos jsonb,
  salts jsonb not null,
  digests jsonb not null,
  previous text not null,
  link text not null,
  sealed_at timestamptz not null default now(),
  primary key (business_id, place),
  unique (business_id, agreed_id)
);
create index agreed_copies_of_order on agreed_copies (business_id, work_order_id);
alter table agreed_copies enable row level security;
create policy own_rows on agreed_copies using (business_id = current_business());

-- Where the chain of a business ends, so that nobody cuts its end off unseen.
create table agreed_chains (
  business_id uuid primary key references businesses,
  copies integer not null,
  link text not null
);
alter table agreed_chains enable row level security;
create policy own_rows on agreed_chains using (business_id = current_business());
`;
