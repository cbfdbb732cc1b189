/** Photos arrive in pieces over a line that breaks: what is here of one that is not whole yet. */
export const up = `
create table photo_pieces (
  business_id uuid not null references businesses,
  photo_id uuid not null,
  from_byte integer not null,
  bytes bytea not null,
  arrived_at timestamptz not null default now(),
  primary key (business_id, photo_id, from_byte)
);
alter table photo_pieces enable row level security;
create policy own_rows on photo_pieces using (business_id = current_business());
`;
