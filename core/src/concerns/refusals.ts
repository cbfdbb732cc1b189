export const CONCERN_REFUSALS = {
  "concern/not-found": "That concern was taken off by somebody else. The rest is unchanged.",
  "concern/answered": "A job on the quote answers this concern. Take the job off first.",
  "concern/too-many": "This work order has a hundred concerns already. It was not added; open another one.",
} as const;
export type ConcernRefusal = keyof typeof CONCERN_REFUSALS;
