import { z } from "zod";
import { place } from "../places/place";
import { arranged } from "./arranged";
import { calledOff } from "./calledOff";

const instant = z.iso.datetime();

/** How a visit's state is written now; an older one is brought forward when it is read. @see upgradeVisit */
export const VISIT_VERSION = 4;

/** Of which row of repeated visits one is. */
const visitSeries = z.object({
  id: z.string(),
  /** RFC 5545, such as `FREQ=MONTHLY;COUNT=6`. */
  rule: z.string(),
});

/** One trip to one place at one time by one mechanic, for one or several work orders. */
export const visitState = z.object({
  version: z.literal(VISIT_VERSION),
  id: z.string(),
  workOrderIds: z.array(z.string()).min(1),
  mechanicId: z.string(),
  place,
  startsAt: instant,
  endsAt: instant,
  /** Booked or moved although the mechanic was busy then. */
  overlapAllowed: z.boolean(),
  /** Stays where it is when the day is planned anew. */
  isLocked: z.boolean(),
  note: z.string(),
  arranged,
  /** What was promised; null: nothing. */
  readyBy: instant.nullable(),
  /** Why the work takes another trip; empty: it is the first, or nobody said. */
  anotherTripWhy: z.string(),
  series: visitSeries.nullable(),
  bookedAt: instant,
  /** Whoever it is for would come earlier, too, and hears of a gap. */
  wantsEarlier: z.boolean(),
  setOffAt: instant.nullable(),
  /** How long the drive was thought to take when it began; null: nobody said, or it did not begin. */
  driveMinutes: z.number().int().nullable(),
  arrivedAt: instant.nullable(),
  leftAt: instant.nullable(),
  cancelledAt: instant.nullable(),
  /** Why; null: it stands, or nobody said. */
  calledOff: calledOff.nullable(),
});
export type VisitState = z.infer<typeof visitState>;
