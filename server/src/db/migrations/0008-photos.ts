/** The bytes of photos go to a store of their own; those of before are moved behind the server. */
export const up = `
alter table photos alter column bytes drop not null, add column size integer;
`;
