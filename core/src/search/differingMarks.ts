import type { Mark } from "./matchMarks";

/** Letters and digits of a text with where they stand; what only sets groups apart is passed over. */
function signsOf(text: string): { sign: string; at: number }[] {
  return [...text].flatMap((letter, at) => (/[\p{L}\p{N}]/u.test(letter) ? [{ sign: letter.toUpperCase(), at }] : []));
}

/**
 * Where a shown phone, plate or VIN has another sign than was typed: the one to look at before taking it for the same.
 *
 * @returns nothing for a text that is not one sign away.
 * @example
 * differingMarks("360 555 0188", "(360) 555-0118") //=> [{ start: 12, end: 13 }]
 */
export function differingMarks(typed: string, shown: string): Mark[] {
  const wanted = signsOf(typed).map(({ sign }) => sign);
  const all = signsOf(shown);
  // A country before the number, or an extension behind it, is no difference.
  for (let from = 0; from + wanted.length - 1 <= all.length; from++) {
    const here = all.slice(from, from + wanted.length);
    if (here.length < wanted.length - 1) break;
    const marks = oneAway(wanted, here, all.slice(from, from + wanted.length + 1));
    if (marks.length > 0) return marks;
  }
  return [];
}

type Signs = readonly { sign: string; at: number }[];

function oneAway(wanted: readonly string[], same: Signs, longer: Signs): Mark[] {
  const differing = same.filter(({ sign }, index) => sign !== wanted[index]);
  if (same.length === wanted.length && differing.length === 1) return markOf(differing);
  const [one, other] = differing;
  const first = one ? same.indexOf(one) : -1;
  const isSwapped =
    differing.length === 2 &&
    one &&
    other &&
    same.indexOf(other) === first + 1 &&
    one.sign === wanted[first + 1] &&
    other.sign === wanted[first];
  if (same.length === wanted.length && isSwapped) return markOf([one, other]);
  const at = same.findIndex(({ sign }, index) => sign !== wanted[index]);
  const rest = wanted.slice(Math.max(at, 0)).join("");
  const isAdded =
    at >= 0 &&
    longer.length === wanted.length + 1 &&
    longer
      .slice(at + 1)
      .map(({ sign }) => sign)
      .join("") === rest;
  return isAdded ? markOf(longer.slice(at, at + 1)) : [];
}

function markOf(signs: Signs): Mark[] {
  const [first] = signs;
  const last = signs.at(-1);
  return first && last ? [{ start: first.at, end: last.at + 1 }] : [];
}
