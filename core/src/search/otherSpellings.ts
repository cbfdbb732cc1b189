import { SHORT_STREET_WORDS } from "../customers/street";
import { nicknamesOf } from "./nicknames";

const LONG = new Map<string, string[]>();
for (const [long, short] of SHORT_STREET_WORDS) LONG.set(short, [...(LONG.get(short) ?? []), long]);

/**
 * How a typed word may be written where it is kept: spelled out or short, a name by what its bearer is called. Looked up with what is typed, since writing
 * both with every street makes all searches slower.
 * @example
 * otherSpellings("st") //=> ["street", "saint"]
 * otherSpellings("road") //=> ["rd"]
 */
export function otherSpellings(typed: string): string[] {
  const short = SHORT_STREET_WORDS.get(typed);
  return [...(short === undefined ? (LONG.get(typed) ?? []) : [short]), ...nicknamesOf(typed)];
}
