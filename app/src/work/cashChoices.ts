const NOTES_CENTS = [1000, 2000, 5000, 10000] as const;

/**
 * What a customer probably hands over: the exact amount, then the next round sums in notes.
 * @example
 * cashChoices(8712) //=> [8712, 9000, 10000]
 */
export function cashChoices(dueCents: number): number[] {
  const rounded = NOTES_CENTS.map((note) => Math.ceil(dueCents / note) * note);
  return [...new Set([dueCents, ...rounded])].sort((a, b) => a - b).slice(0, 4);
}
