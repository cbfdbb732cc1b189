/** A right that nothing asked for is gone. */
export const up = `
update people set rights = array_remove(rights, 'refund') where 'refund' = any(rights);
`;
