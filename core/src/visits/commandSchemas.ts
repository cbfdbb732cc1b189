import { z } from "zod";
import { instant, uuid, words } from "../commands/fields";
import { typedPlace } from "../places/place";

export const bookVisit = z.strictObject({
  type: z.literal("bookVisit"),
  workOrderIds: z
    .array(uuid)
    .min(1)
    .max(20)
    .transform((ids) => [...new Set(ids)]),
  mechanicId: uuid,
  place: typedPlace,
  startsAt: instant,
  endsAt: instant,
  note: words(500),
  /** Book although the mechanic is busy then. */
  allowOverlap: z.boolean(),
});
export const moveVisit = z.strictObject({
  type: z.literal("moveVisit"),
  startsAt: instant,
  endsAt: instant,
  mechanicId: uuid,
  allowOverlap: z.boolean(),
});
export const cancelVisit = z.strictObject({ type: z.literal("cancelVisit") });
/** "On my way": the customer is told with the minutes. */
export const setOff = z.strictObject({ type: z.literal("setOff"), driveMinutes: z.number().int().min(0).max(600) });
export const arrive = z.strictObject({ type: z.literal("arrive") });
export const leave = z.strictObject({ type: z.literal("leave") });
