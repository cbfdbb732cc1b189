import { z } from "zod";
import { text } from "../text/text";

/** A ready phrase for what a customer calls about. */
export const concernPhrase = z.object({
  id: text(60).min(1),
  text: text(200).min(1, "a phrase needs its words"),
  kind: z.enum(["fault", "wish"]),
  area: text(60).min(1, "a phrase needs its area"),
  /** What it usually turns out to be, and what sets it right; the commonest first. */
  causes: z.array(text(200).min(1)).max(20).default([]),
  corrections: z.array(text(200).min(1)).max(20).default([]),
});
export type ConcernPhrase = z.infer<typeof concernPhrase>;

/** What a gap of a phrase, such as `{when}`, is usually filled with. */
export const concernGap = z.object({
  name: text(30).regex(/^[^{}]+$/, "a gap needs a name without braces"),
  choices: z.array(text(60).min(1)).max(30),
});
export type ConcernGap = z.infer<typeof concernGap>;
