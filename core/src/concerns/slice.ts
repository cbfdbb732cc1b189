import { z } from "zod";

export const CONCERN_OUTCOMES = ["found", "noFault", "setAside"] as const;

/** What a person says of a concern: what causes it and what sets it right, that nothing is found, or that it is set aside. */
const concernAnswer = z.object({
  outcome: z.enum(CONCERN_OUTCOMES),
  cause: z.string(),
  correction: z.string(),
  /** Why it was set aside, or what was tried. */
  reason: z.string(),
  at: z.iso.datetime(),
  by: z.string(),
});
export type ConcernAnswer = z.infer<typeof concernAnswer>;

/** Why the customer called, in their words. */
export const concern = z.object({
  id: z.string(),
  text: z.string(),
  kind: z.enum(["fault", "wish"]),
  phraseId: z.string().nullable(),
  at: z.iso.datetime(),
  /** What became of it; absent: it is open still. */
  answer: concernAnswer.optional(),
});
export type Concern = z.infer<typeof concern>;
export const concernSlice = z.object({ concerns: z.array(concern) });
export type ConcernSlice = z.infer<typeof concernSlice>;
