import {
  LANGUAGES,
  USUAL_MESSAGES,
  MESSAGE_KINDS,
  MESSAGE_RULES,
  readTimeOfDay,
  showTimeOfDay,
  messageSettings,
  template,
  type BusinessSettings,
  type MessageSettings,
} from "@mechanon/core";
import { z } from "zod";
import { begunFrom } from "./begunFrom";
import { wholeNumber } from "./wholeNumber";

const typedTemplate = z.object({ text: z.string(), subject: z.string(), mail: z.string() });
const typedKind = z.object({ rule: z.enum(MESSAGE_RULES), en: typedTemplate, es: typedTemplate });

/** What is typed about messages to customers. */
export const typedMessages = z.object({
  base: begunFrom,
  /** Kept by an app that knew fewer kinds, the others are as usual. */
  kinds: z.preprocess(withAllKinds, z.record(z.enum(MESSAGE_KINDS), typedKind)),
  dayBefore: z.string(),
  late: z.string(),
  nudges: z.string(),
});
export type TypedMessages = z.output<typeof typedMessages>;

function withAllKinds(kept: unknown): unknown {
  return typeof kept === "object" ? { ...USUAL_MESSAGES.kinds, ...kept } : kept;
}

const LATE = "a whole number from 5 to 240";

/** What was typed about messages, read. */
export const readMessages = typedMessages.extend({
  kinds: z.record(z.enum(MESSAGE_KINDS), typedKind.extend({ en: template, es: template })),
  dayBefore: z.string().transform((typed, check) => {
    const minute = readTimeOfDay(typed);
    if (minute !== null && minute < 24 * 60) return minute;
    check.addIssue({ code: "custom", message: "a time like 5 pm or 17:00" });
    return z.NEVER;
  }),
  nudges: z.string().transform((typed, check) => {
    const days = typed
      .split(/[,\s]+/)
      .filter(Boolean)
      .map(Number);
    if (messageSettings.shape.nudgeDays.safeParse(days).success) return days;
    check.addIssue({ code: "custom", message: "whole days that rise, like 2, 5; empty for none" });
    return z.NEVER;
  }),
  late: z.string().transform(wholeNumber).pipe(z.int(LATE).min(5, LATE).max(240, LATE)),
});

/** What was read, as it is set. */
export function messagesOf({ kinds, dayBefore, late, nudges }: z.output<typeof readMessages>): MessageSettings {
  return { kinds, dayBeforeMinute: dayBefore, lateMinutes: late, nudgeDays: nudges };
}

/** What stands about messages, as it would be typed. */
export function typedMessagesOf(base: BusinessSettings): TypedMessages {
  const { kinds, dayBeforeMinute, lateMinutes, nudgeDays } = base.messages;
  return {
    base,
    kinds,
    dayBefore: showTimeOfDay(dayBeforeMinute),
    late: String(lateMinutes),
    nudges: nudgeDays.join(", "),
  };
}

/** Where something does not fit, the first kind and language of it. */
export function faultyTemplate(errors: object): { kind: string; language: string } | null {
  const kinds = "kinds" in errors && typeof errors.kinds === "object" ? errors.kinds : null;
  for (const [kind, of] of Object.entries(kinds ?? {})) {
    const language = LANGUAGES.find((each) => typeof of === "object" && of !== null && each in of);
    if (language) return { kind, language };
  }
  return null;
}
