/** Refusals of answers and of what becomes of a quote without them. */
export const APPROVAL_REFUSALS = {
  "sale/agreed": "The customer said yes to some of this, so it is a sale. Nothing was changed.",
} as const;
export type ApprovalRefusal = keyof typeof APPROVAL_REFUSALS;
