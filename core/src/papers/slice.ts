import { z } from "zod";
import { PAPERS } from "./paper";

/** Words of a paper as somebody put them for this once. */
const paperWording = z.object({
  paper: z.enum(PAPERS),
  /** Which concern is said otherwise; null: what the paper opens with. */
  concernId: z.string().nullable(),
  text: z.string(),
});

/** What papers of a work order say otherwise than usual. */
export const paperSlice = z.object({ paperWordings: z.array(paperWording).optional() });
export type PaperSlice = z.infer<typeof paperSlice>;
