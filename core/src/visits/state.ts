import { z } from "zod";
import { place } from "../places/place";

const instant = z.iso.datetime();

/** How a visit's state is written now; an older one is brought forward when it is read. @see upgradeVisit */
export const VISIT_VERSION = 2;

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
  note: z.string(),
  bookedAt: instant,
  setOffAt: instant.nullable(),
  arrivedAt: instant.nullable(),
  leftAt: instant.nullable(),
  cancelledAt: instant.nullable(),
});
export type VisitState = z.infer<typeof visitState>;
