import { z } from "zod";

/** Half a surrogate pair is no character; of the controls only tab and line ends are text, and U+0000 no database keeps. */
const NO_TEXT = /[\p{Surrogate}\u0000-\u0008\u000B\u000C\u000E-\u001F]/u;

/** Whether a text can be kept, sent and shown as it is. */
export function isText(value: string): boolean {
  return !NO_TEXT.test(value);
}

/** Text a person typed, wherever it comes in: without blanks around it, of so many characters at most. */
export function text(most: number): z.ZodString {
  return z
    .string()
    .trim()
    .max(most, `at most ${most} characters`)
    .refine(isText, "contains characters that cannot be stored");
}
