import { z } from "zod";

const instant = z.iso.datetime();

/** How an inspection point was found, in our words: fine; will need work; needs work now; could not be looked at. */
export const GRADES = ["sound", "watch", "act", "skipped"] as const;
export type Grade = (typeof GRADES)[number];

export const finding = z.object({
  pointId: z.string(),
  grade: z.enum(GRADES),
  /** In the unit of the point's measure. */
  measured: z.number().nullable(),
  note: z.string(),
  photoIds: z.array(z.string()),
  at: instant,
  by: z.string(),
});
export type Finding = z.infer<typeof finding>;

/** What was found on the car. */
export const inspectionSlice = z.object({
  odometerMiles: z.object({ value: z.number().int(), at: instant }).nullable(),
  /** Readings that were wrong, with why; absent where there are none. */
  odometerTakenBack: z
    .array(z.object({ value: z.number().int(), at: instant, reason: z.string(), by: z.string(), takenBackAt: instant }))
    .optional(),
  /** As they were set, in psi. */
  pressures: z.object({ frontPsi: z.number(), rearPsi: z.number(), at: instant }).nullable(),
  findings: z.array(finding),
});
export type InspectionSlice = z.infer<typeof inspectionSlice>;
