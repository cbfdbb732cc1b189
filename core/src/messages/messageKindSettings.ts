import { z } from "zod";
import { text } from "../text/text";
import { MESSAGE_RULES } from "./messageKinds";
import { unknownFields } from "./template";

/** A text of more than some messages is a letter. */
const MOST_TEXT = 1000;
const MOST_SUBJECT = 200;
const MOST_MAIL = 4000;

/** Words with fields; an unknown one would reach a customer as it stands. */
const filled = (most: number): z.ZodString =>
  text(most)
    .min(1, "needs its words")
    .superRefine((typed, check) => {
      const unknown = unknownFields(typed);
      if (unknown.length > 0) check.addIssue({ code: "custom", message: `no field is called ${unknown.join(", ")}` });
    });

/** What is sent of one kind in one language: a text, and a mail with its subject. */
export const template = z.strictObject({
  text: filled(MOST_TEXT),
  subject: filled(MOST_SUBJECT),
  mail: filled(MOST_MAIL),
});

/** What the owner sets about one kind of message. */
export const messageKindSettings = z.strictObject({ rule: z.enum(MESSAGE_RULES), en: template, es: template });
export type MessageKindSettings = z.infer<typeof messageKindSettings>;
