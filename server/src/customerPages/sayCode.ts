import { say, type Language } from "@mechanon/core";

/** The words a one-time code goes out with. */
export function sayCode(
  language: Language,
  values: { business: string; code: string; minutes: number },
): { subject: string; text: string } {
  return { subject: say(language, "code.subject", values), text: say(language, "code.text", values) };
}
