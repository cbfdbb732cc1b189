import { countOf } from "@mechanon/core";
import type { Draft } from "./draft";

type Said = Pick<Draft, "email" | "textsWelcomeAt" | "foundUsBy" | "newcomerAnswers">;

/** What of the rest is said of a caller already, or what it is about. */
export function moreLine({ email, textsWelcomeAt, foundUsBy, newcomerAnswers }: Said): string {
  const said = [
    email.trim(),
    textsWelcomeAt ? "texts welcome" : "",
    foundUsBy ?? "",
    newcomerAnswers.length > 0 ? countOf(newcomerAnswers.length, "answer") : "",
  ].filter(Boolean);
  return said.length > 0 ? said.join(", ") : "email, texts, how they found us";
}
