import type { BusinessSettings } from "@mechanon/core";

type Street = BusinessSettings["streets"][number];

/** A street of the area, and the address with the number that was typed. */
export interface StreetOffer {
  address: string;
  street: Street;
}

const FEWEST_LETTERS = 2;
const MOST_SHOWN = 3;

/**
 * Streets of the area that a typed address may mean, with the house number kept.
 * @example
 * streetsLike("18 her", streets) //=> [{ address: "18 Heron Landing", street }]
 */
export function streetsLike(typed: string, streets: readonly Street[]): StreetOffer[] {
  const match = /^\s*(\d+\w?)?\s*(.*?)\s*$/.exec(typed);
  const number = match?.[1] ?? "";
  const letters = (match?.[2] ?? "").toLowerCase();
  if (letters.length < FEWEST_LETTERS) return [];
  return streets
    .filter(({ name }) => name.toLowerCase().startsWith(letters) && name.toLowerCase() !== letters)
    .slice(0, MOST_SHOWN)
    .map((street) => ({ address: `${number} ${street.name}`.trim(), street }));
}

/** Offers of the area with those that were found, each address once: what was found has the point of the house. */
export function withFound(near: readonly StreetOffer[], found: readonly StreetOffer[]): StreetOffer[] {
  const keyOf = ({ address, street }: StreetOffer): string => `${address}, ${street.town}`.toLowerCase();
  const known = new Map(found.map((offer) => [keyOf(offer), offer]));
  const first = near.map((offer) => known.get(keyOf(offer)) ?? offer);
  const keys = new Set(first.map(keyOf));
  return [...first, ...found.filter((offer) => !keys.has(keyOf(offer)))].slice(0, MOST_SHOWN);
}
