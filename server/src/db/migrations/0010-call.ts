/** What customers are known by beside the name. */
export const up = `
update customers set details = details || '{"knownFrom": ""}'::jsonb where not details ? 'knownFrom';
`;
