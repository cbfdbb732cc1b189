export const SOURCING_REFUSALS = {
  "line/ordered": "That part is on order, so the line stays. Cancel it with the supplier first.",
  "line/number-ordered":
    "That part is on order, so the line stays the part it is. Cancel it with the supplier first, then change it.",
} as const;
export type SourcingRefusal = keyof typeof SOURCING_REFUSALS;
