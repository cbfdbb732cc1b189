/** The 33 characters a VIN may hold: digits and capital letters without I, O and Q. */
export const VIN_CHARACTERS = "0123456789ABCDEFGHJKLMNPRSTUVWXYZ";
const LOW_HALF = 17;
/** 0-based place in the VIN of the first character of a key. */
export const FIRST_KEY_INDEX = 3;

/** One key of a schema, ready to be tried against a VIN. */
export interface KeyMatcher {
  /** Index into the VIN (0-based) of each position the key fixes. */
  positions: number[];
  /** Allowed characters of each such position, as two bit sets. */
  lows: number[];
  highs: number[];
  /** How much the key says: 2 for a fixed character, 1 for a set of them. */
  specificity: number;
}

/**
 * Compiles a published key: positions 4-8, then `|`, then positions 10-17, each part a prefix; `*` stands for any
 * character and `[A-CX]` for a set.
 *
 * @param key - for example `CV1F[134]|*A`.
 */
export function compileKey(key: string): KeyMatcher {
  const matcher: KeyMatcher = { positions: [], lows: [], highs: [], specificity: 0 };
  let place = FIRST_KEY_INDEX;
  for (let index = 0; index < key.length; index++) {
    const character = key[index];
    if (character === "|") {
      place = 9;
      continue;
    }
    if (character === "[") {
      const end = key.indexOf("]", index);
      const members = expandSet(key.slice(index + 1, end < 0 ? key.length : end));
      fix(matcher, place, members);
      matcher.specificity += 1;
      index = end < 0 ? key.length : end;
    } else if (character !== "*" && character !== undefined) {
      fix(matcher, place, character);
      matcher.specificity += 2;
    }
    place++;
  }
  return matcher;
}

/**
 * The bit sets of a VIN's characters, computed once for all keys tried against it.
 * @param vin - 17 characters; one outside the VIN alphabet matches no key.
 */
export function vinBits(vin: string): { lows: Int32Array; highs: Int32Array } {
  const lows = new Int32Array(17);
  const highs = new Int32Array(17);
  for (let index = 0; index < 17; index++) {
    const [low, high] = bitsOf(vin.charAt(index));
    lows[index] = low;
    highs[index] = high;
  }
  return { lows, highs };
}

/** Whether every position the key fixes allows the VIN's character. */
export function keyMatches(key: KeyMatcher, bits: { lows: Int32Array; highs: Int32Array }): boolean {
  for (let index = 0; index < key.positions.length; index++) {
    const place = key.positions[index] as number;
    const low = (key.lows[index] as number) & (bits.lows[place] as number);
    if (low === 0 && ((key.highs[index] as number) & (bits.highs[place] as number)) === 0) return false;
  }
  return true;
}

/** Whether some VIN matches both keys. */
export function keysAgree(one: KeyMatcher, other: KeyMatcher): boolean {
  return one.positions.every((place, index) => {
    const at = other.positions.indexOf(place);
    if (at < 0) return true;
    const low = (one.lows[index] as number) & (other.lows[at] as number);
    return low !== 0 || ((one.highs[index] as number) & (other.highs[at] as number)) !== 0;
  });
}

/** Whether a key can match a VIN whose first described character this is. */
export function mayMatchFirst(key: KeyMatcher, character: string): boolean {
  if (key.positions[0] !== FIRST_KEY_INDEX) return true;
  const [low, high] = bitsOf(character);
  return ((key.lows[0] ?? 0) & low) !== 0 || ((key.highs[0] ?? 0) & high) !== 0;
}

function fix(matcher: KeyMatcher, place: number, characters: string): void {
  let low = 0;
  let high = 0;
  for (const character of characters) {
    const bits = bitsOf(character);
    low |= bits[0];
    high |= bits[1];
  }
  matcher.positions.push(place);
  matcher.lows.push(low);
  matcher.highs.push(high);
}

function expandSet(members: string): string {
  return members.replace(/(.)-(.)/g, (_, from: string, to: string) => {
    let characters = "";
    for (let code = from.charCodeAt(0); code <= to.charCodeAt(0); code++) characters += String.fromCharCode(code);
    return characters;
  });
}

function bitsOf(character: string): readonly [number, number] {
  const index = character === "" ? -1 : VIN_CHARACTERS.indexOf(character);
  if (index < 0) return [0, 0];
  return index < LOW_HALF ? [1 << index, 0] : [0, 1 << (index - LOW_HALF)];
}
