import { z } from "zod";
import { uuid } from "../commands/fields";
import { place } from "../places/place";

const instant = z.iso.datetime();

export const bookVisit = z.strictObject({
  type: z.literal("bookVisit"),
  workOrderIds: z.array(uuid).min(1).max(20),
  mechanicId: uuid,
  place,
  startsAt: instant,
  endsAt: instant,
  note: z.string().trim().max(500),
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
