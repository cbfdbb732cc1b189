import { say } from "../customerWords/say";
import type { Language } from "../languages/language";
import type { QuoteLine } from "./quoteLine";

/**
 * A line as the customer reads it: with the work it includes where the mechanic put that on the paper, and with who brings
 * the part.
 *
 * @example paperWords({ id: "1", kind: "fee", description: "Disposal", quantity: 1, priceCents: 300 }) //=> "Disposal"
 */
export function paperWords(line: QuoteLine, language: Language = "en"): string {
  if (line.kind === "part" && line.isCustomers) return say(language, "paper.customersPart", { what: line.description });
  if (line.kind !== "labor" || !line.showsIncluded || !line.steps?.length) return line.description;
  const titles = [...new Set(line.steps.map(({ title }) => `${title.charAt(0).toLowerCase()}${title.slice(1)}`))];
  return say(language, "paper.included", { what: line.description, steps: titles.join("; ") });
}
