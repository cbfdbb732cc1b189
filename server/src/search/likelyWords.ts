import { MOST_COUNTED, type FittingWord } from "./findWords";

/** What more have is no slip of something rarer. */
const MOST_OF_A_SLIP = 1000;

/** What was typed stands in it, sounds like it, or is a slip of it. */
const isGuess = (way: FittingWord["way"]): boolean => way === "part" || way === "near" || way === "sound";

/** Words that are what was typed, begin with it, or are it spelled out or short. */
export function wordsAsTyped(words: readonly FittingWord[]): FittingWord[] {
  return words.filter(({ way }) => !isGuess(way));
}

/**
 * Words without what is hardly meant. What thousands have is rarely a slip of something rarer or meant by letters
 * inside it (a color by its end), nor is something rare a slip of what thousands have, or one number of another. It is
 * those that take time.
 */
export function likelyWords(typed: string, words: readonly FittingWord[]): FittingWord[] {
  const others = words.filter(
    ({ way, customers }) => way !== "near" && way !== "sound" && (way !== "part" || customers <= MOST_OF_A_SLIP),
  );
  if (others.length === 0) return [...words];
  if (/^\d+$/.test(typed) || others.some(({ way, customers }) => way === "whole" && customers > MOST_COUNTED))
    return others;
  return words.filter(({ way, customers }) => !isGuess(way) || customers <= MOST_OF_A_SLIP);
}
