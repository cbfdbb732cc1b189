import { z } from "zod";
import { tenThousandths } from "../exact/decimal";
import { DRIVES, LAYOUTS, POWER_GROUPS, RUSTS, VEHICLE_CLASSES, type PowerGroup } from "../vehicles/build";

const POWER_GROUP_NAMES = Object.keys(POWER_GROUPS) as [PowerGroup, ...PowerGroup[]];

/** A car older than this is "old" to a guide: what is screwed in stays in. */
export const OLD_AFTER_YEARS = 12;

/** When a step takes longer, or an operation is there at all. */
export const condition = z.discriminatedUnion("fact", [
  z.object({ fact: z.literal("power"), is: z.enum(POWER_GROUP_NAMES) }),
  z.object({ fact: z.literal("drive"), is: z.enum([...DRIVES, "rearAxle"]) }),
  z.object({ fact: z.literal("layout"), is: z.enum(LAYOUTS) }),
  z.object({ fact: z.literal("age"), is: z.literal("old") }),
  z.object({ fact: z.literal("rust"), is: z.enum(RUSTS) }),
]);
export type Condition = z.infer<typeof condition>;

/** Exactly so many hours, with four decimals at most. */
const hours = z
  .number()
  .nonnegative()
  .max(100)
  .refine((value) => tenThousandths(value) !== null, "has more than four decimals");

/** How often a step is done: once, for each axle touched, for each place, or for each of what is counted. */
export const STEP_PER = ["once", "axle", "position", "count"] as const;

/** A piece of work no guide takes apart further. */
export const guideStep = z.object({
  id: z.string().min(1),
  title: z.string().min(1),
  per: z.enum(STEP_PER),
  /** For one time; null: the guide does not know this step on vehicles of the class. */
  hours: z.record(z.enum(VEHICLE_CLASSES), hours.nullable()),
  /** What comes on top, for one time. */
  more: z.array(z.object({ when: condition, hours })),
});
export type GuideStep = z.infer<typeof guideStep>;

/** What an operation is done to: the car, one axle, chosen wheels, sides or doors, or every cylinder. */
export const OPERATION_PER = ["job", "axle:front", "axle:rear", "corner", "wheel", "side", "door", "cylinder"] as const;
export type OperationPer = (typeof OPERATION_PER)[number];

/** Something a guide has hours for. */
export const guideOperation = z.object({
  id: z.string().min(1),
  title: z.string().min(1),
  area: z.string().min(1),
  /** The part it is for. */
  part: z.string().min(1),
  per: z.enum(OPERATION_PER),
  /** What tells it from other operations on the same part. */
  inTheWay: z.string().nullable(),
  steps: z.array(z.string()).min(1),
  /** On other cars there is nothing to do. */
  only: z.array(condition),
});
export type GuideOperation = z.infer<typeof guideOperation>;

/** A table of operations as elementary steps with hours. */
export const laborGuide = z.object({
  source: z.string(),
  /** Made up: good for trying the app, not for quoting real work. */
  simulated: z.boolean(),
  steps: z.array(guideStep),
  operations: z.array(guideOperation),
});
export type LaborGuide = z.infer<typeof laborGuide>;
