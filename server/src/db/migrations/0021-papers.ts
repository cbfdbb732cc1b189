/** A mail brings the paper it is about along; photos that arrive after their answer are found in what was agreed. */
export const up = `
alter table messages add column attaches text check (attaches in ('quote', 'mechanicsSheet'));
create index agreed_copies_photos on agreed_copies using gin (photos jsonb_path_ops);
`;
