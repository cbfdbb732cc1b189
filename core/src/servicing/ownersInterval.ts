import { z } from "zod";
import { text } from "../text/text";

/** A service of the owner's list: how often, where it differs from the spec sheet, and which library jobs do it. */
export const ownersInterval = z.object({
  id: text(60).min(1),
  title: text(80).min(1, "a service needs its name"),
  miles: z.number().int().min(100).max(500_000).nullable(),
  months: z.number().int().min(1).max(240).nullable(),
  jobIds: z.array(text(60).min(1)).max(30),
});
export type OwnersInterval = z.infer<typeof ownersInterval>;
