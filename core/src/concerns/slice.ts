import { z } from "zod";

/** Why the customer called, in their words. */
export const concern = z.object({
  id: z.string(),
  text: z.string(),
  kind: z.enum(["fault", "wish"]),
  phraseId: z.string().nullable(),
  at: z.iso.datetime(),
});
export type Concern = z.infer<typeof concern>;
export const concernSlice = z.object({ concerns: z.array(concern) });
export type ConcernSlice = z.infer<typeof concernSlice>;
