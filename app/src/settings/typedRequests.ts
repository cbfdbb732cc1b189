import { LANGUAGES, readMoney, type BusinessSettings, type RequestSettings } from "@mechanon/core";
import { z } from "zod";
import { begunFrom } from "./begunFrom";
import { wholeNumber } from "./wholeNumber";

const typedWish = z.object({
  id: z.string(),
  en: z.string(),
  es: z.string(),
  phraseId: z.string().nullable(),
  jobId: z.string().nullable(),
});

/** What is typed about what customers may ask for. */
export const typedRequests = z.object({
  base: begunFrom,
  isOpen: z.boolean(),
  wishes: z.array(typedWish),
  diagnosis: z.string(),
  termsSpanish: z.string(),
  origins: z.string(),
  holdHours: z.string(),
  changeHours: z.string(),
  linkDays: z.string(),
});
export type TypedRequests = z.input<typeof typedRequests>;

function whole(least: number, most: number): z.ZodType<number, string> {
  const range = `a whole number from ${least} to ${most}`;
  return z.string().transform(wholeNumber).pipe(z.int(range).min(least, range).max(most, range));
}

const ORIGIN = /^https?:\/\/[a-z0-9.-]+(:\d+)?$/;

/** Fronts of pages, one in each line. @example originsOf("https://a.example\nhttps://b.example/") //=> ["https://a.example", "https://b.example"] */
export function originsOf(typed: string): string[] {
  return typed
    .split(/[\s,]+/)
    .map((each) => each.toLowerCase().replace(/\/+$/, ""))
    .filter((each) => each !== "");
}

/** What was typed about requests, read. */
export const readRequests = typedRequests.extend({
  wishes: z.array(
    typedWish.extend({ en: z.string().trim(), es: z.string().trim() }).superRefine((wish, check) => {
      for (const language of LANGUAGES)
        if (wish[language] === "") check.addIssue({ code: "custom", path: [language], message: "needs its words" });
    }),
  ),
  diagnosis: z.string().transform((typed, check) => {
    const cents = typed.trim() === "" ? 0 : readMoney(typed);
    if (cents !== null) return cents;
    check.addIssue({ code: "custom", message: "an amount like 95.00, or empty" });
    return z.NEVER;
  }),
  termsSpanish: z.string().trim().max(500),
  origins: z.string().transform((typed, check) => {
    const origins = originsOf(typed);
    const wrong = origins.find((each) => !ORIGIN.test(each));
    if (wrong === undefined) return origins;
    check.addIssue({ code: "custom", message: `“${wrong}” reads like no page’s front: https://www.example.com` });
    return z.NEVER;
  }),
  holdHours: whole(1, 72),
  changeHours: whole(0, 336),
  linkDays: whole(1, 730),
});

/** What was read, as it is set. */
export function requestsOf({
  isOpen,
  wishes,
  diagnosis: diagnosisCents,
  termsSpanish,
  origins: allowedOrigins,
  holdHours,
  changeHours,
  linkDays,
}: z.output<typeof readRequests>): RequestSettings {
  return { isOpen, wishes, diagnosisCents, termsSpanish, allowedOrigins, holdHours, changeHours, linkDays };
}

/** What stands about requests, as it would be typed. */
export function typedRequestsOf(base: BusinessSettings): TypedRequests {
  const { requests } = base;
  return {
    base,
    isOpen: requests.isOpen,
    wishes: requests.wishes.map((wish) => ({ ...wish })),
    diagnosis: requests.diagnosisCents === 0 ? "" : (requests.diagnosisCents / 100).toFixed(2),
    termsSpanish: requests.termsSpanish,
    origins: requests.allowedOrigins.join("\n"),
    holdHours: String(requests.holdHours),
    changeHours: String(requests.changeHours),
    linkDays: String(requests.linkDays),
  };
}
