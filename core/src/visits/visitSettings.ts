import { z } from "zod";
import { callOutBand } from "../quoting/pricingRules";
import { text } from "../text/text";
import { CALL_QUESTIONS } from "./arranged";

const DAY_MINUTES = 24 * 60;
const MOST_MINUTES = 600;
const MOST_CENTS = 10_000_000;

/** What an answer at the call means for the visit. */
export const callRule = z.strictObject({
  question: z.enum(CALL_QUESTIONS),
  /** The answer it is about. */
  on: z.boolean(),
  minutes: z.number().int().min(0).max(MOST_MINUTES),
  /** What whoever comes must be able to do; null: nothing more. */
  skill: text(60).min(1).nullable(),
  isUrgent: z.boolean(),
});
export type CallRule = z.infer<typeof callRule>;

/** What the owner sets about visits. */
export const visitSettings = z.strictObject({
  /** To find the place, set up and clear away. */
  setUpMinutes: z.number().int().min(0).max(240),
  callRules: z.array(callRule).max(2 * CALL_QUESTIONS.length),
  /** For coming out, once for each trip; 0: nothing. */
  callOutCents: z.number().int().min(0).max(MOST_CENTS),
  /** By miles from the shop instead, the nearest first; absent: any distance costs the same. */
  callOutByMiles: z
    .array(callOutBand)
    .max(20)
    .refine(
      (bands) =>
        bands.every(({ upToMiles }, index) =>
          upToMiles === null ? index === bands.length - 1 : upToMiles > (bands[index - 1]?.upToMiles ?? 0),
        ),
      "the miles must rise",
    )
    .optional(),
  /** Where it stands when one trip serves several cars. */
  callOutOn: z.enum(["first", "shared"]),
  /** For a visit called off late, or nobody there; 0: nothing. */
  callOffFeeCents: z.number().int().min(0).max(MOST_CENTS),
  /** Called off with less notice than this, it is late. */
  callOffHours: z.number().int().min(0).max(336),
  callOffTerms: text(500),
  /** A day gets new times when rain is at least this likely. */
  wetPercent: z.number().int().min(1).max(100),
  /** Who has not answered by then is called; minutes from midnight. */
  answerByMinute: z
    .number()
    .int()
    .min(0)
    .max(DAY_MINUTES - 1),
});
export type VisitSettings = z.infer<typeof visitSettings>;

/** Until the owner says otherwise. */
export const USUAL_VISITS: VisitSettings = {
  setUpMinutes: 15,
  callRules: [
    { question: "starts", on: false, minutes: 15, skill: null, isUrgent: true },
    { question: "drives", on: false, minutes: 0, skill: null, isUrgent: true },
    { question: "lampOn", on: true, minutes: 15, skill: null, isUrgent: false },
    { question: "wheelLockKey", on: false, minutes: 30, skill: null, isUrgent: false },
  ],
  callOutCents: 0,
  callOutOn: "first",
  callOffFeeCents: 0,
  callOffHours: 24,
  callOffTerms: "",
  wetPercent: 50,
  answerByMinute: 17 * 60,
};
