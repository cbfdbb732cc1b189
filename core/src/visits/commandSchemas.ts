import { z } from "zod";
import { instant, uuid, words } from "../commands/fields";
import { typedPlace } from "../places/place";
import { arranged, nothingArranged } from "./arranged";
import { CALL_OFF_REASONS } from "./calledOff";

const MOST_CARS = 20;

export const bookVisit = z.strictObject({
  type: z.literal("bookVisit"),
  workOrderIds: z
    .array(uuid)
    .min(1)
    .max(MOST_CARS)
    .transform((ids) => [...new Set(ids)]),
  mechanicId: uuid,
  place: typedPlace,
  startsAt: instant,
  endsAt: instant,
  note: words(500),
  /** Book although the mechanic is busy then. */
  allowOverlap: z.boolean(),
  // What an app of before did not say.
  arranged: arranged.default(nothingArranged),
  readyBy: instant.nullable().default(null),
  anotherTripWhy: words(300).default(""),
  series: z
    .strictObject({ id: uuid, rule: words(200) })
    .nullable()
    .default(null),
});
export const moveVisit = z.strictObject({
  type: z.literal("moveVisit"),
  startsAt: instant,
  endsAt: instant,
  mechanicId: uuid,
  allowOverlap: z.boolean(),
});
export const cancelVisit = z.strictObject({
  type: z.literal("cancelVisit"),
  why: z.enum(CALL_OFF_REASONS).nullable().default(null),
  words: words(300).default(""),
});
/** What was called off stands again, at its time. */
export const reviveVisit = z.strictObject({ type: z.literal("reviveVisit"), allowOverlap: z.boolean() });
export const lockVisit = z.strictObject({ type: z.literal("lockVisit"), isLocked: z.boolean() });
/** They would come earlier, too: they hear of a gap. */
export const wantEarlier = z.strictObject({ type: z.literal("wantEarlier"), wants: z.boolean() });
/** Null: nothing is promised any more. */
export const promiseReady = z.strictObject({ type: z.literal("promiseReady"), readyBy: instant.nullable() });
/** What was agreed; what is not named stays as it was. */
export const arrangeVisit = z.strictObject({
  type: z.literal("arrangeVisit"),
  arranged: arranged.partial(),
  note: words(500).optional(),
});
/** Another car of the household or yard comes along on the trip. */
export const takeAlong = z.strictObject({ type: z.literal("takeAlong"), workOrderId: uuid });
export const leaveOut = z.strictObject({ type: z.literal("leaveOut"), workOrderId: uuid });
/** "On my way": the customer is told with the minutes. */
export const setOff = z.strictObject({ type: z.literal("setOff"), driveMinutes: z.number().int().min(0).max(600) });
export const arrive = z.strictObject({ type: z.literal("arrive") });
export const leave = z.strictObject({ type: z.literal("leave") });
