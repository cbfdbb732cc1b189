/** With its key a person's phone seals what could not be sent at sign-out: 32 bytes, known to nobody else. */
export const up = `
alter table people add column device_key bytea not null
  default decode(replace(gen_random_uuid()::text || gen_random_uuid()::text, '-', ''), 'hex');
`;
