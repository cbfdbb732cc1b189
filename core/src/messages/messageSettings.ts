import { z } from "zod";
import { messageKindSettings } from "./messageKindSettings";
import { MESSAGE_KINDS } from "./messageKinds";
import { USUAL_KINDS } from "./usualKinds";

const DAY_MINUTES = 24 * 60;

/** What the owner sets about messages to customers. */
export const messageSettings = z.strictObject({
  kinds: z.record(z.enum(MESSAGE_KINDS), messageKindSettings),
  /** When the day before is told; minutes from midnight. */
  dayBeforeMinute: z
    .number()
    .int()
    .min(0)
    .max(DAY_MINUTES - 1),
  /** So much behind, a visit nobody set off to is told as late. */
  lateMinutes: z.number().int().min(5).max(240),
});
export type MessageSettings = z.infer<typeof messageSettings>;

/** Until the owner says otherwise. */
export const USUAL_MESSAGES: MessageSettings = { kinds: USUAL_KINDS, dayBeforeMinute: 17 * 60, lateMinutes: 15 };
