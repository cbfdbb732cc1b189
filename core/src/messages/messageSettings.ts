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
  /** So many days after a quote was sent and not answered its customer is reminded; empty: never. */
  nudgeDays: z
    .array(z.number().int().min(1).max(365))
    .max(5)
    .refine((days) => days.every((day, index) => index === 0 || day > (days[index - 1] ?? 0)), "the days must rise"),
});
export type MessageSettings = z.infer<typeof messageSettings>;

/** Until the owner says otherwise. */
export const USUAL_MESSAGES: MessageSettings = {
  kinds: USUAL_KINDS,
  dayBeforeMinute: 17 * 60,
  lateMinutes: 15,
  nudgeDays: [2, 5],
};

const before = z.looseObject({ kinds: z.looseObject({}), dayBeforeMinute: z.number(), lateMinutes: z.number() });

/** Messages as any version stored them, with what was not told of then as usual; what is none comes back as it is. */
export function upgradeMessages(stored: unknown): unknown {
  const read = before.safeParse(stored);
  if (!read.success) return stored;
  return { nudgeDays: USUAL_MESSAGES.nudgeDays, ...read.data, kinds: { ...USUAL_KINDS, ...read.data.kinds } };
}
