import { z } from "zod";
import { text } from "../text/text";

/** A question of the owner's own to newcomers. */
export const newcomerQuestion = z.object({
  id: text(60).min(1),
  text: text(300).min(1, "a question needs its words"),
  /** Answers to choose from; empty: the answer is typed. */
  choices: z.array(text(100).min(1)).max(20),
});

/** What the owner wants to know of newcomers: how they found us, and questions of the owner's own. */
export const newcomerSettings = z.object({
  foundUsBy: z.array(text(60).min(1)).max(30),
  questions: z.array(newcomerQuestion),
});
export type NewcomerSettings = z.infer<typeof newcomerSettings>;
