import doubleMetaphone from "double-metaphone";

/** How a name is written by who heard it, each step on what the one before left. */
const STEPS: readonly (readonly [RegExp, string])[] = [
  [/^mac(?=[^aeiouy]?[a-z]{2})|^mc/, "mk"],
  [/^(?:kn|gn|pn|ng)/, "n"],
  [/^wr|rh/, "r"],
  [/^g(?=[eiy])/, "j"],
  [/(?:aux|eaux|eau|ault|auld)$/, "o"],
  [/mb$/, "m"],
  [/chr/g, "kr"],
  [/shch|sch(?=[aeiouylmnr])|sh|sz/g, "s"],
  [/tsch|tch|tsh|cz|ch/g, "1"],
  [/(?<=[bpkgt]|^)rz/g, "s"],
  [/^(?:ps|x|ts)/, "s"],
  [/zh|dzh|dg|dj/g, "j"],
  [/bh|mh|bv|ph|v/g, "f"],
  [/(?<=[aeiouy])w(?=[aeiouy])|^w/g, "f"],
  [/th|dt|d(?=$)/g, "t"],
  [/gh(?=t)/g, ""],
  [/kh|gh|ck|q/g, "k"],
  [/c(?=[eiy])/g, "s"],
  [/c/g, "k"],
  [/x/g, "ks"],
  [/z/g, "s"],
];
const FEWEST_LETTERS = 3;
const FEWEST_SOUNDS = 2;

/**
 * Keys of which two names share one when they sound alike, however they are spelled: the codes of double metaphone, and
 * the consonants left when what only differs in spelling is written one way.
 *
 * @param word - folded, in Latin letters; of any other, or of a number, there is none.
 * @see Philips, The Double Metaphone Search Algorithm (2000)
 * @example
 * soundKeys("nguyen").some((key) => soundKeys("nwen").includes(key)) //=> true
 */
export function soundKeys(word: string): string[] {
  if (word.length < FEWEST_LETTERS || !/^[a-z]+$/.test(word)) return [];
  const codes = doubleMetaphone(word).filter((code) => code.length >= FEWEST_SOUNDS);
  const frame = frameOf(word);
  return [...new Set([...codes.map((code) => `~${code}`), ...(frame.length >= FEWEST_SOUNDS ? [`~${frame}`] : [])])];
}

/** A name's consonants; a vowel only where it begins. */
function frameOf(word: string): string {
  const written = STEPS.reduce((text, [pattern, instead]) => text.replace(pattern, instead), word);
  const start = /^h?[aeiou]/.test(written) ? "a" : /^[jy]/.test(written) ? "j" : "";
  // Doubled letters are one sound; the same one with a vowel between is two.
  return start + written.replace(/(.)\1+/g, "$1").replace(/[aeiouyhwj]/g, "");
}

/** Whether two words may be one name heard by two people: alike in sound, and not much longer than each other. */
export function mayBeHeardAs(typed: string, word: string): boolean {
  if (Math.abs(typed.length - word.length) > MOST_LETTERS_APART) return false;
  const keys = soundKeys(word);
  return soundKeys(typed).some((key) => keys.includes(key));
}
const MOST_LETTERS_APART = 4;
