import { fold } from "@mechanon/core";
import { transliterate } from "transliteration";

const NOT_LATIN = /\p{L}/u;
const LATIN = /\p{Script=Latin}/gu;

/**
 * A name of another script in Latin letters, as it is heard and typed here; null for one that is in Latin letters.
 * @example
 * latinOf("Иван Петров") //=> "ivan petrov"
 */
export function latinOf(text: string): string | null {
  return NOT_LATIN.test(text.replace(LATIN, "")) ? fold(transliterate(text)) : null;
}
