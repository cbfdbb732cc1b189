import { wordsOf } from "../text/words";

/**
 * How words of streets and towns are written short.
 * @see USPS Publication 28, appendices B and C
 */
export const SHORT_STREET_WORDS: ReadonlyMap<string, string> = new Map(Object.entries({
  street: "st", road: "rd", avenue: "ave", lane: "ln", drive: "dr", court: "ct", boulevard: "blvd", place: "pl", highway: "hwy", terrace: "ter", circle: "cir", square: "sq", way: "wy", trail: "trl", parkway: "pkwy", route: "rte", crossing: "xing",
  alley: "aly", bend: "bnd", bluff: "blf", bridge: "brg", canyon: "cyn", cove: "cv", creek: "crk", crest: "crst", estates: "ests", expressway: "expy", freeway: "fwy", gardens: "gdns", glen: "gln", grove: "grv", harbor: "hbr", heights: "hts", hill: "hl", hills: "hls", hollow: "holw", junction: "jct", knoll: "knl", lake: "lk", landing: "lndg", manor: "mnr", meadow: "mdw", meadows: "mdws", mill: "ml", mills: "mls", mountain: "mtn", orchard: "orch", plaza: "plz", point: "pt", ranch: "rnch", ridge: "rdg", river: "riv", shore: "shr", shores: "shrs", springs: "spgs", station: "sta", summit: "smt", turnpike: "tpke", valley: "vly", view: "vw", village: "vlg", vista: "vis",
  saint: "st", mount: "mt", fort: "ft", apartment: "apt", suite: "ste",
  north: "n", south: "s", east: "e", west: "w", northeast: "ne", northwest: "nw", southeast: "se", southwest: "sw",
  first: "1st", second: "2nd", third: "3rd", fourth: "4th", fifth: "5th", sixth: "6th", seventh: "7th", eighth: "8th", ninth: "9th", tenth: "10th",
})); // prettier-ignore

/**
 * A street without its house number, as streets are compared.
 * @example
 * streetKey("18b Heron Landing Road") //=> "heron lndg rd"
 */
export function streetKey(street: string): string {
  return wordsOf(street)
    .filter((word) => !/^\d+\p{L}?$/u.test(word))
    .map((word) => SHORT_STREET_WORDS.get(word) ?? word)
    .join(" ");
}

/** The house number in a street line, "" when there is none. */
export function houseNumber(street: string): string {
  return wordsOf(street).find((word) => /^\d+\p{L}?$/u.test(word)) ?? "";
}
