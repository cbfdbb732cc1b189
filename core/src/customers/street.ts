import { wordsOf } from "../search/words";

/** How streets are written short. */
const SHORT: Readonly<Record<string, string>> = { street: "st", road: "rd", avenue: "ave", lane: "ln", drive: "dr", court: "ct", boulevard: "blvd", place: "pl", highway: "hwy", terrace: "ter", circle: "cir", square: "sq", north: "n", south: "s", east: "e", west: "w" }; // prettier-ignore

/**
 * A street without its house number, as streets are compared.
 * @example
 * streetKey("18b Heron Landing Road") //=> "heron landing rd"
 */
export function streetKey(street: string): string {
  return wordsOf(street)
    .filter((word) => !/^\d+\p{L}?$/u.test(word))
    .map((word) => SHORT[word] ?? word)
    .join(" ");
}

/** The house number in a street line, "" when there is none. */
export function houseNumber(street: string): string {
  return wordsOf(street).find((word) => /^\d+\p{L}?$/u.test(word)) ?? "";
}
