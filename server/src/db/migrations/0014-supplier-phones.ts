/** A supplier is called where no signal reaches its own service. E.164. */
export const up = `
alter table suppliers add column phone text;
`;
