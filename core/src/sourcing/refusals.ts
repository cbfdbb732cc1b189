export const SOURCING_REFUSALS = {
  "line/ordered": "That part is on order, so the line stays. Cancel it with the supplier first.",
} as const;
export type SourcingRefusal = keyof typeof SOURCING_REFUSALS;
