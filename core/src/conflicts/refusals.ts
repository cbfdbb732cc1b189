export const CONFLICT_REFUSALS = { "conflict/not-found": "That mark was settled already." } as const;
export type ConflictRefusal = keyof typeof CONFLICT_REFUSALS;
