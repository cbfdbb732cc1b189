import { IntlMessageFormat } from "intl-messageformat";
import { LOCALES, type Language } from "../languages/language";
import { ENGLISH, type WordKey } from "./english";
import { SPANISH } from "./spanish";

const WORDS: Record<Language, Record<WordKey, string>> = { en: ENGLISH, es: SPANISH };
const kept = new Map<string, IntlMessageFormat>();

/** What words are filled with. */
export type WordValues = Readonly<Record<string, string | number>>;

/**
 * Words of ours in a customer's language.
 *
 * @param values - for the names in braces.
 * @throws {Error} where a value is missing.
 * @see ICU MessageFormat
 * @example
 * say("es", "mine.hello", { name: "Ana" }) //=> "Hola, Ana"
 */
export function say(language: Language, key: WordKey, values: WordValues = {}): string {
  const name = `${language} ${key}`;
  let format = kept.get(name);
  if (!format) {
    format = new IntlMessageFormat(WORDS[language][key], LOCALES[language]);
    kept.set(name, format);
  }
  return String(format.format(values));
}

/** Words for a fault by its code; null: it has none of its own. */
export function sayFault(language: Language, code: string): string | null {
  const key = `fault.${code}`;
  return isWordKey(key) ? say(language, key) : null;
}

function isWordKey(key: string): key is WordKey {
  return Object.hasOwn(ENGLISH, key);
}
