import { z } from "zod";
import { LANGUAGES, type Language } from "../languages/language";
import { text } from "../text/text";

/** A logo as it is kept in the settings, which every phone has: small. */
export const MOST_LOGO_BYTES = 40 * 1024;
const MOST_LOGO_LETTERS = Math.ceil(MOST_LOGO_BYTES / 3) * 4;
const MOST_WORDS = 1000;
const MOST_TERMS = 6000;

const inEach = (most: number) => z.strictObject({ en: text(most), es: text(most) });

/** What the owner says on papers, which is typed; empty: nothing. */
export const ownersWords = z.strictObject({
  /** What a quote opens with. */
  quote: inEach(MOST_WORDS),
  /** What a mechanic's sheet opens with, in the language of the house. */
  mechanicsSheet: text(MOST_WORDS),
  /** What stands beneath each quote, and is agreed to with it. */
  terms: inEach(MOST_TERMS),
});
export type OwnersWords = z.infer<typeof ownersWords>;

/** What is on papers of the owner's own. */
export const paperSettings = ownersWords.extend({
  /** A PNG in base 64; null: the name alone. */
  logo: z.base64().max(MOST_LOGO_LETTERS).nullable(),
});
export type PaperSettings = z.infer<typeof paperSettings>;

/** Until the owner says otherwise. */
export const USUAL_PAPERS: PaperSettings = {
  quote: { en: "", es: "" },
  mechanicsSheet: "",
  terms: { en: "", es: "" },
  logo: null,
};

/** Words as they are said in a language; in the house's own where they were not put in it. */
export function saidIn(words: Readonly<Record<Language, string>>, language: Language): string {
  return words[language] || words[LANGUAGES[0]];
}
