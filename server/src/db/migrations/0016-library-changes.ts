/** Who changed which job of the library, when, from what to what: each change can be taken back. */
export const up = `
create table library_changes (
  business_id uuid not null references businesses,
  id uuid not null,
  at timestamptz not null default clock_timestamp(),
  person_id uuid not null,
  job_id text not null,
  -- Null: the job was not there.
  before jsonb,
  after jsonb,
  primary key (business_id, id)
);
create index library_changes_at on library_changes (business_id, at desc);
alter table library_changes enable row level security;
create policy own_rows on library_changes using (business_id = current_business());
-- Which jobs are put on quotes often, and which a person used last.
create index history_add_job on history (business_id, recorded_at) where body ->> 'type' = 'addJob';
`;
