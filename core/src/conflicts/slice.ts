import { z } from "zod";

const instant = z.iso.datetime();

/** A fact that no longer fit when it arrived; somebody settles it. */
export const conflict = z.object({
  id: z.string(),
  commandId: z.string(),
  /** One of those an area has words for. */
  code: z.string(),
  detail: z.string(),
  at: instant,
  settledAt: instant.nullable(),
  settledBy: z.string().nullable(),
});
export type Conflict = z.infer<typeof conflict>;

export const conflictSlice = z.object({ conflicts: z.array(conflict) });
export type ConflictSlice = z.infer<typeof conflictSlice>;
