import { say } from "../customerWords/say";
import type { Language } from "../languages/language";
import { amountOf } from "./amountOf";
import type { QuoteLine } from "./quoteLine";

/** Whether a line stands on the customer's paper: what comes to nothing on this car does not. */
export function isOnPaper(line: QuoteLine): boolean {
  return amountOf(line) > 0;
}

/**
 * A line as the customer reads it: with the work it includes where the mechanic put that on the paper, and with who brings
 * the part, that it is not new, and what is said with it.
 *
 * @example paperWords({ id: "1", kind: "fee", description: "Disposal", quantity: 1, priceCents: 300 }) //=> "Disposal"
 */
export function paperWords(line: QuoteLine, language: Language = "en"): string {
  const what = named(line, language);
  return line.noteForCustomer ? `${what}. ${line.noteForCustomer}` : what;
}

function named(line: QuoteLine, language: Language): string {
  const { description: what } = line;
  if (line.kind === "part" && line.isCustomers) return say(language, "paper.customersPart", { what });
  if (line.kind === "part" && line.condition !== undefined && line.condition !== "new")
    return say(language, line.condition === "used" ? "paper.used" : "paper.rebuilt", { what });
  if (line.kind !== "labor" || !line.showsIncluded || !line.steps?.length) return what;
  const titles = [...new Set(line.steps.map(({ title }) => `${title.charAt(0).toLowerCase()}${title.slice(1)}`))];
  return say(language, "paper.included", { what, steps: titles.join("; ") });
}
