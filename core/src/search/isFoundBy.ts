import type { SearchQuery } from "./searchQuery";
import type { KeyKind, SearchTerms } from "./searchTerms";

/**
 * Whether somebody with these terms is meant by what was typed, as it was typed: words by their beginnings, phones by
 * their beginning or end, plates, VINs and emails by their beginning. Slips, nicknames and likeness of sound are the
 * server's to know.
 * @example
 * isFoundBy({ words: [{ word: "maren", field: "name" }], keys: [] }, readSearch("mar")) //=> true
 */
export function isFoundBy(terms: SearchTerms, query: SearchQuery): boolean {
  const { words, phones, plate, vin, email, mixed } = query;
  const hasKey = (kind: KeyKind, fits: (key: string) => boolean): boolean =>
    terms.keys.some((each) => each.kind === kind && fits(each.key));
  const hasWords = (typed: readonly string[]): boolean =>
    typed.every((each) => terms.words.some(({ word }) => word.startsWith(each)));
  return (
    (words.length > 0 && hasWords(words)) ||
    phones.some((digits) => hasKey("phone", (key) => key.startsWith(digits) || key.endsWith(digits))) ||
    (plate !== null && hasKey("plate", (key) => key.startsWith(plate))) ||
    (vin !== null && hasKey("vin", (key) => key.startsWith(vin))) ||
    (email !== null && hasKey("email", (key) => key.startsWith(email))) ||
    (mixed !== null && hasWords(mixed.words) && isFoundBy(terms, mixed.code))
  );
}
