import { z } from "zod";

/** What customers are spoken to in. */
export const LANGUAGES = ["en", "es"] as const;
export const language = z.enum(LANGUAGES);
export type Language = (typeof LANGUAGES)[number];

/** Each language by its own name. */
export const LANGUAGE_NAMES: Record<Language, string> = { en: "English", es: "Español" };

/** As it is written in this country. @see BCP 47 */
export const LOCALES: Record<Language, string> = { en: "en-US", es: "es-US" };

/** Of a browser's or a header's wishes the first we speak; English where we speak none of them. @see RFC 9110, 12.5.4 */
export function languageOf(wished: readonly string[]): Language {
  for (const wish of wished) {
    const found = LANGUAGES.find((each) => wish.trim().toLowerCase().split("-")[0] === each);
    if (found) return found;
  }
  return "en";
}
