import { z } from "zod";

/** One inspection point of the business's list. */
export const inspectionPoint = z.object({
  id: z.string(),
  title: z.string(),
  area: z.string(),
  /** What is measured there, if anything; below the limits the grade follows by itself. */
  measure: z
    .object({
      name: z.string(),
      unit: z.string(),
      step: z.number().positive(),
      start: z.number(),
      most: z.number(),
      watchBelow: z.number(),
      actBelow: z.number(),
    })
    .nullable(),
});
export type InspectionPoint = z.infer<typeof inspectionPoint>;
