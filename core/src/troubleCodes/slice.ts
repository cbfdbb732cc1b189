import { z } from "zod";

/** A trouble code read from the car. @see SAE J2012 */
export const troubleCode = z.object({
  id: z.string(),
  code: z.string(),
  /** What it stands for, as it was known or typed then. */
  words: z.string(),
  /** Read before the work or after it. */
  when: z.enum(["before", "after"]),
  /** The concern it may explain; null: none. */
  concernId: z.string().nullable(),
  at: z.iso.datetime(),
  by: z.string(),
});
export type TroubleCode = z.infer<typeof troubleCode>;
export const troubleCodeSlice = z.object({
  codes: z.array(troubleCode),
  /** The reader found none, before or after. */
  noCodes: z.array(z.object({ when: z.enum(["before", "after"]), at: z.iso.datetime(), by: z.string() })),
});
export type TroubleCodeSlice = z.infer<typeof troubleCodeSlice>;
