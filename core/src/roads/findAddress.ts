import { isOneEditAway } from "../search/nearMiss";
import { fold } from "../text/fold";
import type { Road, RoadNetwork } from "./roadNetwork";

/** An address on the roads. */
export interface FoundAddress {
  street: string;
  town: string;
  latitude: number;
  longitude: number;
}

const MOST_FOUND = 5;
const SHORT_FORMS: Readonly<Record<string, string>> = { st: "street", rd: "road", ln: "lane", ct: "court", dr: "drive", ave: "avenue", e: "east", w: "west", n: "north", s: "south" }; // prettier-ignore

/** Words of a street as they are compared: without case and accents, the usual short forms written out. */
function streetWords(street: string): string[] {
  return fold(street)
    .split(/[^a-z0-9]+/)
    .filter(Boolean)
    .map((word) => SHORT_FORMS[word] ?? word);
}

/**
 * Where an address is on the roads, by its street and number, misspelled by a letter too.
 *
 * @param typed - like "18b Heron Landing".
 * @param town - narrows it down; empty: any.
 * @returns those that fit, spelled alike first; empty: no street of the network is called so, or it has no such number.
 */
export function findAddress(network: RoadNetwork, typed: string, town = ""): FoundAddress[] {
  const match = /^\s*(\d+)\w?\s+(.*)$/.exec(typed);
  const number = match ? Number(match[1]) : null;
  const wanted = streetWords(match?.[2] ?? typed);
  if (wanted.length === 0) return [];
  const places = streetWords(town).join(" ");
  const found = new Map<string, FoundAddress & { isExact: boolean }>();
  for (const road of network.roads) {
    if (road.name === null || road.numbers === null) continue;
    const words = streetWords(road.name);
    const isExact = words.join(" ") === wanted.join(" ");
    if (!isExact && !isLike(words, wanted)) continue;
    if (places !== "" && streetWords(road.town ?? "").join(" ") !== places) continue;
    const share = shareOf(road, number);
    if (share === null) continue;
    const key = `${road.name} ${road.town ?? ""}`;
    if (found.has(key)) continue;
    const street = number === null ? road.name : `${typed.trim().split(/\s+/)[0] ?? ""} ${road.name}`;
    found.set(key, { isExact, street, town: road.town ?? "", ...pointOn(network, road, share) });
  }
  return [...found.values()]
    .sort((a, b) => Number(b.isExact) - Number(a.isExact))
    .slice(0, MOST_FOUND)
    .map(({ isExact: _isExact, ...address }) => address);
}

function isLike(words: readonly string[], wanted: readonly string[]): boolean {
  return (
    words.length === wanted.length &&
    words.every((word, index) => word === wanted[index] || isOneEditAway(wanted[index] ?? "", word))
  );
}

/** How far along a road a house is; null: not on it. */
function shareOf({ numbers }: Road, number: number | null): number | null {
  if (!numbers) return null;
  if (number === null) return 0.5;
  const [first, last] = numbers;
  if (number < Math.min(first, last) || number > Math.max(first, last)) return null;
  return first === last ? 0.5 : (number - first) / (last - first);
}

function pointOn({ latitudes, longitudes }: RoadNetwork, { from, to }: Road, share: number) {
  const between = (values: Float64Array): number => {
    const [one, other] = [values[from] ?? 0, values[to] ?? 0];
    return Math.round((one + share * (other - one)) * 1e6) / 1e6;
  };
  return { latitude: between(latitudes), longitude: between(longitudes) };
}
