import { placedWords } from "../text/words";

/** Particles and initials, which are often typed as one word with what comes next; in front, three letters are a given name. */
const SHORT_LETTERS = { inFront: 2, later: 3 } as const;
/** Signs that are words by themselves, written without gaps: a name is found from each of them on. */
const WITHOUT_GAPS = /^[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}]{2,8}$/u;

/**
 * The words a name is also typed with: its parts run together, "&" spelled out, and the later signs of a name that is
 * written without gaps.
 * @example
 * nameSpellings("Pieter van der Heyden") //=> ["pietervan", "vander", "derheyden", "vanderheyden"]
 * nameSpellings("Jean-Luc Abara & Sons") //=> ["jeanluc", "lucabara", "lucabarasons", "and"]
 */
export function nameSpellings(name: string): string[] {
  const placed = placedWords(name);
  const words = placed.map(({ word }) => word);
  const isShort = (word: string, at: number): boolean =>
    [...word].length <= (at === 0 ? SHORT_LETTERS.inFront : SHORT_LETTERS.later);
  const pairs = placed.slice(1).flatMap(({ word, start }, at) => {
    const before = placed[at];
    if (!before) return [];
    const isHyphenated = /^[-‐‑–]$/u.test(name.slice(before.end, start));
    const isGivenName = at === 0 && words.length > 2;
    return isHyphenated || isGivenName || isShort(word, at + 1) || isShort(before.word, at) ? [before.word + word] : [];
  });
  const surname = words.slice(1);
  const wholeSurname = surname.length > 2 && surname.some((word) => isShort(word, 1)) ? [surname.join("")] : [];
  const and = /[&+]/.test(name) ? ["and"] : [];
  const withoutGaps = words.filter((word) => WITHOUT_GAPS.test(word));
  return [...new Set([...pairs, ...wholeSurname, ...and, ...withoutGaps.flatMap(laterSigns)])];
}

/** "田小春", "小春" and "春" of "西田小春". */
function laterSigns(word: string): string[] {
  const signs = [...word];
  return signs.slice(1).map((_, before) => signs.slice(before + 1).join(""));
}
