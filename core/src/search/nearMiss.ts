import distance from "damerau-levenshtein";

/** Letters of a word's front that its shapes are made from. */
const FRONT = 5;
/** Shorter words are all near one another. */
export const FEWEST_NEAR = 3;

/**
 * What a word is looked up by when it may hold one wrong, missing, added or swapped letter: its front, whole and with
 * each letter left out. Two words one edit apart share at least one shape.
 *
 * @see Garbe, symmetric delete spelling correction (2012)
 * @example
 * shapesOf("bram") //=> ["bram", "ram", "bam", "brm", "bra"]
 */
export function shapesOf(word: string): string[] {
  const front = [...word].slice(0, FRONT);
  return [...new Set([front.join(""), ...front.map((_, at) => front.filter((__, index) => index !== at).join(""))])];
}

/** Whether what was typed is one wrong, missing, added or swapped letter away from a word or its beginning. */
export function isNearMiss(typed: string, word: string): boolean {
  if (typed.length < FEWEST_NEAR || word.length < FEWEST_NEAR) return false;
  return [typed.length, typed.length - 1, typed.length + 1].some(
    (length) => length > 1 && length <= word.length && distance(typed, word.slice(0, length)).steps <= 1,
  );
}

/** Whether two keys differ by one wrong, missing, added or swapped sign at most. */
export function isOneEditAway(a: string, b: string): boolean {
  return Math.abs(a.length - b.length) <= 1 && distance(a, b).steps <= 1;
}
