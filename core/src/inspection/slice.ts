import { z } from "zod";
import { signature } from "../approvals/slice";
import { startedSheet } from "./sheet";

const instant = z.iso.datetime();

/** How an inspection point was found, in our words: fine; will need work; needs work now; not safe to drive; could not be looked at. */
export const GRADES = ["sound", "watch", "act", "unsafe", "skipped"] as const;
export type Grade = (typeof GRADES)[number];
/** Grades that tell of a fault, the worst first. */
export const BAD_GRADES = ["unsafe", "act", "watch"] as const;
export type BadGrade = (typeof BAD_GRADES)[number];

export function isBad(grade: Grade): grade is BadGrade {
  return grade !== "sound" && grade !== "skipped";
}

export const finding = z.object({
  pointId: z.string(),
  grade: z.enum(GRADES),
  /** By the keys of the point's measures, in their units. */
  measures: z.record(z.string(), z.number()),
  /** What was seen, or why it was not. */
  note: z.string(),
  at: instant,
  by: z.string(),
});
export type Finding = z.infer<typeof finding>;

/** Somebody was told in plain words that something is not safe. */
const unsafeTold = z.object({
  id: z.string(),
  pointIds: z.array(z.string()),
  /** Whom. */
  name: z.string(),
  way: z.enum(["signed", "witnessed"]),
  /** Who was there, where they would not sign. */
  witness: z.string(),
  signature,
  at: instant,
  by: z.string(),
});

/** What was found on the car. */
export const inspectionSlice = z.object({
  odometerMiles: z.object({ value: z.number().int(), at: instant, reason: z.string().optional() }).nullable(),
  /** Readings that were wrong, with why; absent where there are none. */
  odometerTakenBack: z
    .array(z.object({ value: z.number().int(), at: instant, reason: z.string(), by: z.string(), takenBackAt: instant }))
    .optional(),
  /** As they were set, in psi. */
  pressures: z.object({ frontPsi: z.number(), rearPsi: z.number(), at: instant }).nullable(),
  findings: z.array(finding),
  sheets: z.array(startedSheet),
  /** Sheets that would come by themselves and are not wanted here. */
  sheetsLeftOut: z.array(z.string()),
  unsafeTold: z.array(unsafeTold),
  /** What is in order by other means than a job of this work order, as a person said. */
  mended: z.array(z.object({ pointId: z.string(), how: z.string(), at: instant, by: z.string() })),
  recallsTold: z.array(
    z.object({ campaign: z.string(), title: z.string(), name: z.string(), at: instant, by: z.string() }),
  ),
});
export type InspectionSlice = z.infer<typeof inspectionSlice>;
