/** What of a search fits nobody who has the rest. @example oddWords(["bill"]) //=> "“bill” fits none of these; ..." */
export function oddWords(words: readonly string[]): string {
  return `${words.map((word) => `“${word}”`).join(" and ")} fits none of these; they have the rest of what was typed.`;
}
