import { placedWords, wordsOf } from "../search/words";

/** How words of streets are written short. */
const SHORT: ReadonlyMap<string, string> = new Map(Object.entries({
  street: "st", road: "rd", avenue: "ave", lane: "ln", drive: "dr", court: "ct", boulevard: "blvd", place: "pl", highway: "hwy", terrace: "ter", circle: "cir", square: "sq", way: "wy", trail: "trl", parkway: "pkwy", route: "rte", crossing: "xing",
  saint: "st", mount: "mt", fort: "ft", apartment: "apt", suite: "ste",
  north: "n", south: "s", east: "e", west: "w", northeast: "ne", northwest: "nw", southeast: "se", southwest: "sw",
  first: "1st", second: "2nd", third: "3rd", fourth: "4th", fifth: "5th", sixth: "6th", seventh: "7th", eighth: "8th", ninth: "9th", tenth: "10th",
})); // prettier-ignore
const LONG: ReadonlyMap<string, string> = new Map(
  [...SHORT].filter(([long]) => long !== "saint").map(([long, short]) => [short, long]),
);
const DIRECTION = /^(?:[ns][ew]?|[ew]|north|south|east|west|(?:north|south)(?:east|west))$/;

/**
 * A street without its house number, as streets are compared.
 * @example
 * streetKey("18b Heron Landing Road") //=> "heron landing rd"
 */
export function streetKey(street: string): string {
  return wordsOf(street)
    .filter((word) => !/^\d+\p{L}?$/u.test(word))
    .map((word) => SHORT.get(word) ?? word)
    .join(" ");
}

/** The house number in a street line, "" when there is none. */
export function houseNumber(street: string): string {
  return wordsOf(street).find((word) => /^\d+\p{L}?$/u.test(word)) ?? "";
}

/**
 * The words a street is also typed with: those written short spelled out, those spelled out written short.
 * @example
 * streetSpellings("4 St Brannoc Ave") //=> ["saint", "avenue"]
 */
export function streetSpellings(street: string): string[] {
  const words = placedWords(street).map(({ word }) => word);
  return words.flatMap((word, at) => {
    const next = words[at + 1] ?? "";
    // "St" in front of a name is a saint, behind it a street.
    if (word === "st" && /^\p{L}{2,}$/u.test(next) && !DIRECTION.test(next) && !SHORT.has(next) && !LONG.has(next))
      return ["saint"];
    return SHORT.get(word) ?? LONG.get(word) ?? [];
  });
}
