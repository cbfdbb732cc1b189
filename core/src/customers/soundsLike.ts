import { mayBeHeardAs } from "../text/soundKeys";
import { wordsOf } from "../text/words";

/**
 * Whether two names may be one name heard twice: each word of the shorter has its own word in the longer that sounds
 * the same.
 *
 * @see Philips, The Double Metaphone Search Algorithm (2000)
 * @example
 * soundsLike("Jon Smith", "John Smyth") //=> true
 */
export function soundsLike(a: string, b: string): boolean {
  const [few, many] = [wordsOf(a), wordsOf(b)].sort((x, y) => x.length - y.length) as [string[], string[]];
  if (few.length === 0) return false;
  const left = [...many];
  return few.every((word) => {
    const at = left.findIndex((other) => sameSound(word, other));
    if (at >= 0) left.splice(at, 1);
    return at >= 0;
  });
}

function sameSound(a: string, b: string): boolean {
  return a === b || mayBeHeardAs(a, b);
}
