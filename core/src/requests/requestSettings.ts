import { z } from "zod";
import { text } from "../text/text";

const MOST_CENTS = 10_000_000;

/** Something customers may ask for, by the name they know it by. */
export const publishedWish = z.strictObject({
  id: text(60).min(1),
  en: text(80).min(1, "a wish needs its words"),
  es: text(80).min(1, "a wish needs its words in Spanish"),
  /** The ready phrase it becomes a concern of; null: its own words. */
  phraseId: text(60).min(1).nullable(),
  /** The job of the library that does it; null: it is found out first. */
  jobId: text(60).min(1).nullable(),
});
export type PublishedWish = z.infer<typeof publishedWish>;

/** The front of a page elsewhere that may show our page inside: scheme, host and port. @see RFC 6454 */
const origin = text(200)
  .toLowerCase()
  .regex(/^https?:\/\/[a-z0-9.-]+(:\d+)?$/, "an origin reads like https://www.example.com");

/** What the owner sets about visits customers ask for themselves. */
export const requestSettings = z.strictObject({
  /** Whether customers can ask at all. */
  isOpen: z.boolean(),
  wishes: z.array(publishedWish).max(60),
  /** What finding out costs; 0: nothing is said. */
  diagnosisCents: z.number().int().min(0).max(MOST_CENTS),
  /** What a visit called off late costs, in Spanish; empty: as it is said in English. */
  termsSpanish: text(500),
  allowedOrigins: z.array(origin).max(20),
  /** A time that was asked for is kept so long while nobody answers. */
  holdHours: z.number().int().min(1).max(72),
  /** Customers move and call off themselves up to so many hours before. */
  changeHours: z.number().int().min(0).max(336),
  /** How long a private page can be opened by the link it was sent with. */
  linkDays: z.number().int().min(1).max(730),
});
export type RequestSettings = z.infer<typeof requestSettings>;

/** Until the owner says otherwise. */
export const USUAL_REQUESTS: RequestSettings = {
  isOpen: true,
  wishes: [],
  diagnosisCents: 0,
  termsSpanish: "",
  allowedOrigins: [],
  holdHours: 12,
  changeHours: 24,
  linkDays: 90,
};
