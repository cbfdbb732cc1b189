import type { ShownWay } from "./shownQuote";

/** A line as the customer reads it, with how many there are where it is not one; hours of labor are ours. */
export function shownLineWords({
  kind,
  words,
  amount,
}: Pick<ShownWay["lines"][number], "kind" | "words" | "amount">): string {
  return kind === "labor" || amount === 1 ? words : `${amount} × ${words}`;
}
