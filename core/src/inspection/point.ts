import { z } from "zod";
import { POWER_GROUPS, type PowerGroup } from "../vehicles/build";
import { CORNERS, SIDES, type Position } from "../laborGuide/position";
import { text } from "../text/text";
import { limitsFault, measure, type Measure, type MeasureKind } from "./measure";
import { TOPICS } from "./topics";

const GROUPS = Object.keys(POWER_GROUPS) as [PowerGroup, ...PowerGroup[]];
const POINT_POSITIONS = [...CORNERS, ...SIDES] as [Position, ...Position[]];

/** How the rear wheels are braked. */
export const REAR_BRAKES = ["disc", "drum"] as const;

/** One inspection point of the business's list. */
export const inspectionPoint = z.object({
  id: text(60).min(1),
  title: text(80).min(1, "a point needs its words"),
  /** As a customer of that language reads it; empty: as it is. */
  titleEs: text(80).default(""),
  area: text(40).min(1, "a point needs its area"),
  measures: z.array(measure).max(6),
  /** What it is about, for what it means to a customer; null: nothing is said. */
  topic: z.enum(TOPICS).nullable().default(null),
  /** The point stays open without a photo. */
  isPhotoMust: z.boolean().default(false),
  /** Where on the car; null: it has no place. */
  position: z.enum(POINT_POSITIONS).nullable().default(null),
  /** Only for cars of this kind; what is not known of a car leaves no point out. */
  onlyFor: z
    .object({ power: z.enum(GROUPS).nullable(), rearBrakes: z.enum(REAR_BRAKES).nullable() })
    .default({ power: null, rearBrakes: null }),
  /** Ready notes, the commonest first. */
  notes: z.array(text(200).min(1)).max(20).default([]),
  /** Taken off every sheet; it stays for what was found there. */
  isRetired: z.boolean().default(false),
});
export type InspectionPoint = z.infer<typeof inspectionPoint>;
/** As it is written down: what is left out stands as usual. */
export type InspectionPointInput = z.input<typeof inspectionPoint>;

/** What is wrong with a point; null: nothing. */
export function pointFault({ measures }: InspectionPoint): string | null {
  if (new Set(measures.map(({ key }) => key)).size < measures.length) return "two measures have the same key";
  for (const each of measures) {
    const fault = limitsFault(each);
    if (fault !== null) return `${each.name}: ${fault}`;
  }
  return null;
}

const pointBefore = z.looseObject({
  measure: z
    .object({
      name: z.string(),
      unit: z.string(),
      step: z.number(),
      start: z.number(),
      most: z.number(),
      watchBelow: z.number(),
      actBelow: z.number(),
    })
    .nullable(),
});

/** A stored point as it is now: until there were sheets a point had one measure at the most. */
export function upgradePoint(stored: unknown): InspectionPoint {
  const before = pointBefore.safeParse(stored);
  if (!before.success) return inspectionPoint.parse(stored);
  const { measure: one, ...rest } = before.data;
  const measures = one ? [{ ...one, key: ONLY_KEY, kind: kindBefore(one) }] : [];
  return inspectionPoint.parse({ ...rest, measures });
}

/** The key of a point's measure where it has one alone. */
export const ONLY_KEY = "value";

function kindBefore({ unit, name }: Pick<Measure, "unit" | "name">): MeasureKind {
  if (unit === "/32 in") return "tread";
  if (unit === "mm" && /pad/i.test(name)) return "pad";
  return unit === "V" ? "restVolts" : "other";
}
