/** A gap of a phrase, as it is written in it: `Hums {when}`. */
const GAP = /\{([^{}]{1,30})\}/g;

/** The gaps of a phrase, in order, each once. @example gapsOf("Hums {when}, {where}") //=> ["when", "where"] */
export function gapsOf(text: string): string[] {
  return [...new Set([...text.matchAll(GAP)].map((match) => match[1] ?? ""))];
}

/**
 * A phrase with its gaps filled; a gap left open goes, with the space or comma before it.
 * @example fillGaps("Hums {when}, {where}", { when: "above 40" }) //=> "Hums above 40"
 */
export function fillGaps(text: string, filled: Readonly<Record<string, string>>): string {
  return text
    .replace(/[\s,]*\{([^{}]{1,30})\}/g, (whole, name: string) => {
      const value = filled[name]?.trim() ?? "";
      const before = whole.slice(0, whole.indexOf("{"));
      return value === "" ? "" : `${before}${value}`;
    })
    .replace(/\s+/g, " ")
    .replace(/\s+([.,?!])/g, "$1")
    .trim();
}
