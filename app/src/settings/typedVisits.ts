import {
  CALL_QUESTIONS,
  readMoney,
  readTimeOfDay,
  showTimeOfDay,
  type BusinessSettings,
  type CallRule,
  type VisitSettings,
} from "@mechanon/core";
import { z } from "zod";
import { begunFrom } from "./begunFrom";
import { readMileBands, typedMileBands } from "./mileBands";
import { wholeNumber } from "./wholeNumber";

const typedRule = z.object({
  question: z.enum(CALL_QUESTIONS),
  on: z.boolean(),
  minutes: z.string(),
  skill: z.string(),
  isUrgent: z.boolean(),
});

/** What is typed about visits. */
export const typedVisits = z.object({
  base: begunFrom,
  setUp: z.string(),
  callOut: z.string(),
  callOutByMiles: z.string(),
  callOutOn: z.enum(["first", "shared"]),
  fee: z.string(),
  notice: z.string(),
  terms: z.string(),
  wet: z.string(),
  answerBy: z.string(),
  /** One for each answer of each question. */
  rules: z.array(typedRule),
});
export type TypedVisits = z.input<typeof typedVisits>;

const MOST_SET_UP = 240;
const MOST_NOTICE = 336;
const MOST_MORE = 600;

function whole(least: number, most: number): z.ZodType<number, string> {
  const range = `a whole number from ${least} to ${most}`;
  return z.string().transform(wholeNumber).pipe(z.int(range).min(least, range).max(most, range));
}

const amount = z.string().transform((typed, context) => {
  const cents = typed.trim() === "" ? 0 : readMoney(typed);
  if (cents !== null) return cents;
  context.addIssue({ code: "custom", message: "an amount like 45.00, or empty" });
  return z.NEVER;
});
const time = z.string().transform((typed, context) => {
  const minute = readTimeOfDay(typed);
  if (minute !== null && minute < 24 * 60) return minute;
  context.addIssue({ code: "custom", message: "a time like 5 pm or 17:00" });
  return z.NEVER;
});

/** What was typed about visits, read. */
export const readVisits = typedVisits
  .extend({
    setUp: whole(0, MOST_SET_UP),
    callOut: amount,
    callOutByMiles: z.string().transform((typed, context) => {
      const bands = readMileBands(typed);
      if (bands !== null) return bands;
      context.addIssue({ code: "custom", message: "10: 35.00, 25: 60.00, any: 90.00; the miles must rise" });
      return z.NEVER;
    }),
    fee: amount,
    notice: whole(0, MOST_NOTICE),
    wet: whole(1, 100),
    answerBy: time,
    rules: z.array(typedRule.extend({ minutes: whole(0, MOST_MORE) })),
  })
  .refine(({ fee, terms }) => fee === 0 || terms.trim() !== "", {
    path: ["terms"],
    message: "what is charged has to be said before: write the terms",
  });

/** What was read, as it is set. */
export function visitsOf({
  setUp,
  callOut,
  callOutByMiles,
  callOutOn,
  fee,
  notice,
  terms,
  wet,
  answerBy,
  rules,
}: z.output<typeof readVisits>): VisitSettings {
  return {
    setUpMinutes: setUp,
    callRules: rules
      .map(({ skill, ...rule }): CallRule => ({ ...rule, skill: skill.trim() === "" ? null : skill.trim() }))
      .filter(({ minutes, skill, isUrgent }) => minutes > 0 || skill !== null || isUrgent),
    callOutCents: callOut,
    ...(callOutByMiles.length > 0 ? { callOutByMiles } : {}),
    callOutOn,
    callOffFeeCents: fee,
    callOffHours: notice,
    callOffTerms: terms.trim(),
    wetPercent: wet,
    answerByMinute: answerBy,
  };
}

const inMoney = (cents: number): string => (cents === 0 ? "" : (cents / 100).toFixed(2));

/** What stands about visits, as it would be typed; an answer without a rule stands for nothing more. */
export function typedVisitsOf(base: BusinessSettings): TypedVisits {
  const { visits } = base;
  return {
    base,
    setUp: String(visits.setUpMinutes),
    callOut: inMoney(visits.callOutCents),
    callOutByMiles: typedMileBands(visits.callOutByMiles),
    callOutOn: visits.callOutOn,
    fee: inMoney(visits.callOffFeeCents),
    notice: String(visits.callOffHours),
    terms: visits.callOffTerms,
    wet: String(visits.wetPercent),
    answerBy: showTimeOfDay(visits.answerByMinute),
    rules: CALL_QUESTIONS.flatMap((question) =>
      [true, false].map((on) => {
        const rule = visits.callRules.find((each) => each.question === question && each.on === on);
        return {
          question,
          on,
          minutes: String(rule?.minutes ?? 0),
          skill: rule?.skill ?? "",
          isUrgent: rule?.isUrgent ?? false,
        };
      }),
    ),
  };
}
