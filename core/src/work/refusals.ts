/** Refusals of taking a yes back. */
export const WORK_REFUSALS = {
  "yes/begun": "Work on this has begun, or it was not agreed to any more. Nothing was changed; please talk to us.",
  "yes/costs-more": "What was ordered for it changed meanwhile. Nothing was changed; look at what stays to pay now.",
} as const;
export type WorkRefusal = keyof typeof WORK_REFUSALS;
