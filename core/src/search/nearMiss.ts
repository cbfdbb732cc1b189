/** Letters of a word's front that its shapes are made from. */
const FRONT = 5;
/** Shorter words are all near one another. */
export const FEWEST_NEAR = 3;

/**
 * What a word is looked up by when it may hold one wrong, missing, added or swapped letter: its front, whole and with
 * each letter left out. Two words one edit apart share at least one shape.
 *
 * @see Garbe, symmetric delete spelling correction (2012)
 * @example
 * shapesOf("bram") //=> ["bram", "ram", "bam", "brm", "bra"]
 */
export function shapesOf(word: string): string[] {
  const front = [...word].slice(0, FRONT);
  return [...new Set([front.join(""), ...front.map((_, at) => front.filter((__, index) => index !== at).join(""))])];
}

/**
 * Whether what was typed is one wrong, missing, added or swapped letter away from a word or its beginning.
 *
 * Asked for hundreds of words with every letter typed, hence not a general distance: up to the first difference both
 * are the same, and behind it at most one edit may be left.
 */
export function isNearMiss(typed: string, word: string): boolean {
  if (typed.length < FEWEST_NEAR || word.length < FEWEST_NEAR) return false;
  // Three letters are near the beginning of half of all names: they are compared with short words only.
  if (typed.length === FEWEST_NEAR && word.length > FEWEST_NEAR + 1) return false;
  return edits(typed, word).some(({ left, at }) => word.startsWith(left, at));
}

/** Whether two keys differ by one wrong, missing, added or swapped sign at most. */
export function isOneEditAway(a: string, b: string): boolean {
  return edits(a, b).some(({ left, at }) => b.slice(at) === left);
}

/** What would be left of `a`, and from where in `b` it would have to stand, after each edit at the first difference. */
function edits(a: string, b: string): { left: string; at: number }[] {
  let same = 0;
  while (same < a.length && a[same] === b[same]) same += 1;
  const isSwapped = a[same] === b[same + 1] && a[same + 1] === b[same];
  return [
    { left: a.slice(same), at: same },
    { left: a.slice(same + 1), at: same + 1 },
    { left: a.slice(same + 1), at: same },
    { left: a.slice(same), at: same + 1 },
    ...(isSwapped ? [{ left: a.slice(same + 2), at: same + 2 }] : []),
  ].filter(({ at }) => at <= b.length);
}
