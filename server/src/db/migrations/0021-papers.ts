/** A mail brings the paper it is about along. */
export const up = `
alter table messages add column attaches text check (attaches in ('quote', 'mechanicsSheet'));
`;
