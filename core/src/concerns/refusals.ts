export const CONCERN_REFUSALS = {
  "concern/not-found": "That concern was taken off by somebody else. The rest is unchanged.",
  "concern/answered": "A job on the quote answers this concern. Take the job off first.",
} as const;
export type ConcernRefusal = keyof typeof CONCERN_REFUSALS;
