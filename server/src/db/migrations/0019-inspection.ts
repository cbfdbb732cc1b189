/** Photos with checksum and a small one beside them, clips; when a customer opened their page. */
export const up = `
alter table photos
  -- Of what was sent: what tells of place and device is taken out before it is kept.
  add column sent_size integer,
  -- SHA-256 of what is kept, in hex.
  add column checksum text,
  add column has_small boolean not null default false;

-- Each time a page was opened by its customer: the first and the last.
alter table directory.page_links add column first_opened_at timestamptz, add column last_opened_at timestamptz;
`;
