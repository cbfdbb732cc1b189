import { say, showMoney, type Answer, type Language } from "@mechanon/core";
import type { GivenChoice } from "./useAnswering";

const KEYS = { yes: "answer.readYes", later: "answer.readLater", no: "answer.readNo" } as const;

/** What is read to a customer before their word counts, in their language. */
export function readBackWords(
  language: Language,
  given: readonly Pick<GivenChoice, "title" | "answer" | "totalCents">[],
  totalCents: number,
  isAgreeing: boolean,
): string {
  const part = (answer: Answer): string[] => {
    const of = given.filter((each) => each.answer === answer);
    if (of.length === 0) return [];
    const titles = of.map(({ title, totalCents: cents }) =>
      answer === "yes" ? `${title}, ${showMoney(cents)}` : title,
    );
    return [say(language, KEYS[answer], { titles: titles.join("; ") })];
  };
  return [
    ...part("yes"),
    ...part("later"),
    ...part("no"),
    ...(isAgreeing ? [say(language, "answer.readTotal", { amount: showMoney(totalCents) })] : []),
    say(language, "answer.readRight"),
  ].join(" ");
}
