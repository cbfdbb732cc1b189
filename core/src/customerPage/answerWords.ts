import type { Language } from "../languages/language";
import { say } from "../customerWords/say";
import { showMoney } from "../money/money";
import type { Answer } from "../quoting/slice";

const KEYS = { yes: "answer.readYes", later: "answer.readLater", no: "answer.readNo" } as const;

/** What a customer answered, as it is read or written back to them in their language. */
export function answerWords(
  language: Language,
  given: readonly { title: string; answer: Answer; totalCents: number }[],
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
  ].join(" ");
}
