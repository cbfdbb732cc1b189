import { fold } from "./fold";

/** A run of letters and digits, apostrophes inside it, or one picture sign. */
const WORD = /[\p{L}\p{N}\p{M}](?:[\p{L}\p{N}\p{M}'’ʼ]*[\p{L}\p{N}\p{M}])?|\p{Extended_Pictographic}/gu;
/** No name is longer; what is, is cut. */
const MOST_LETTERS = 60;

/** A word of a text: how it is compared, and where it stands. */
export interface PlacedWord {
  word: string;
  start: number;
  end: number;
}

/** The words of a text with their places. */
export function placedWords(text: string): PlacedWord[] {
  return [...text.matchAll(WORD)].map((match) => ({
    word: fold(match[0].replace(/['’ʼ]/g, "")).slice(0, MOST_LETTERS),
    start: match.index,
    end: match.index + match[0].length,
  }));
}

/**
 * The words of a text as they are compared, each once.
 * @example
 * wordsOf("Noor Haddad-Bell, O'Dell") //=> ["noor", "haddad", "bell", "odell"]
 */
export function wordsOf(text: string): string[] {
  return [...new Set(placedWords(text).map(({ word }) => word))].filter((word) => word !== "");
}
