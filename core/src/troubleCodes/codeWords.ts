import { GENERIC_CODES } from "./genericCodes";
import { readCode } from "./readCode";

/** What a trouble code stands for; null: the maker's own, or none we have words for. @example codeWords("p0301") //=> "Misfires on cylinder 1" */
export function codeWords(typed: string): string | null {
  const code = readCode(typed)?.code;
  return code === undefined ? null : (GENERIC_CODES[code] ?? null);
}

/** Most that are worth looking through. */
const MOST_FOUND = 12;

/** Generic codes by the beginning of their number or words in what they stand for. */
export function findCodes(typed: string): { code: string; words: string }[] {
  const asked = typed.trim().toUpperCase().replace(/[\s-]/g, "");
  if (asked.length < 2) return [];
  const parts = typed.trim().toLowerCase().split(/\s+/);
  return Object.entries(GENERIC_CODES)
    .filter(([code, words]) => code.startsWith(asked) || parts.every((part) => words.toLowerCase().includes(part)))
    .slice(0, MOST_FOUND)
    .map(([code, words]) => ({ code, words }));
}
