import { isNearMiss } from "./nearMiss";
import { otherSpellings } from "./otherSpellings";
import { mayBeHeardAs } from "../text/soundKeys";
import type { SearchQuery } from "./searchQuery";
import { placedWords, type PlacedWord } from "../text/words";

/** A stretch of a text, from `start` up to before `end`. */
export interface Mark {
  start: number;
  end: number;
}

/**
 * The parts of a shown text that a search matched, in order and without overlap.
 * @example
 * matchMarks(readSearch("oye"), "Maren Oyelaran") //=> [{ start: 6, end: 9 }]
 */
export function matchMarks(query: SearchQuery, text: string): Mark[] {
  const code = query.mixed ? codeMarks(query.mixed.code, text) : [];
  const marks = [...codeMarks(query, text), ...wordMarks(query, text), ...code];
  return joined(marks.sort((a, b) => a.start - b.start));
}

function wordMarks({ words, email }: SearchQuery, text: string): Mark[] {
  if (email !== null) {
    const start = text.toLowerCase().indexOf(email);
    return start < 0 ? [] : [{ start, end: start + email.length }];
  }
  const placed = placedWords(text);
  return words.flatMap((typed) => {
    const literal = placed.flatMap(({ word, start, end }) => {
      const at = word.indexOf(typed);
      if (at < 0) return [];
      // Folding may change the number of letters; then the whole word is marked.
      return word.length === end - start ? [{ start: start + at, end: start + at + typed.length }] : [{ start, end }];
    });
    if (literal.length > 0) return literal;
    const spelled = [
      ...runTogether(typed, placed),
      ...placed.filter(({ word }) => otherSpellings(typed).includes(word)),
    ];
    if (spelled.length > 0) return spelled.map(({ start, end }) => ({ start, end }));
    // Of digits, others are no slip: another phone of the same customer is not what was found.
    if (/^\d+$/.test(typed)) return [];
    return placed
      .filter(({ word }) => isNearMiss(typed, word) || mayBeHeardAs(typed, word))
      .map(({ start, end }) => ({ start, end }));
  });
}

/** Words that were typed as one: "vanderheyden" for "van der Heyden". */
function runTogether(typed: string, placed: readonly PlacedWord[]): Mark[] {
  return placed.flatMap(({ start, word }, at) => {
    let joined = word;
    for (const next of placed.slice(at + 1)) {
      if (joined.length >= typed.length || !typed.startsWith(joined)) break;
      joined += next.word;
      if (joined.startsWith(typed)) return [{ start, end: next.end }];
    }
    return [];
  });
}

/** Phones, plates and VINs: compared by letters and digits alone, O as 0 and I as 1. */
function codeMarks({ phones, plate, vin }: SearchQuery, text: string): Mark[] {
  // Digits of a phone may stand in no word, and a code is one word: what crosses a gap in words is none.
  const isPhone = /^[+\d\s().-]+(?: ext\. \d+)?$/.test(text);
  const wanted = isPhone ? phones : /\d/.test(text) && /^[\p{L}\p{N}\s-]{2,20}$/u.test(text) ? [plate, vin] : [];
  if (wanted.every((key) => key === null)) return [];
  const places: number[] = [];
  let code = "";
  for (const [at, letter] of [...text].map((value, index) => [index, value] as const))
    if (/[\p{L}\p{N}]/u.test(letter)) {
      places.push(at);
      code += letter.toUpperCase().replace("O", "0").replace("Q", "0").replace("I", "1").slice(0, 1);
    }
  for (const key of [...wanted].sort((a, b) => (b?.length ?? 0) - (a?.length ?? 0))) {
    const at = key === null || key === undefined ? -1 : code.lastIndexOf(key);
    const [start, end] = [places[at], places[at + (key?.length ?? 0) - 1]];
    if (at >= 0 && start !== undefined && end !== undefined) return [{ start, end: end + 1 }];
  }
  return [];
}

function joined(marks: readonly Mark[]): Mark[] {
  const out: Mark[] = [];
  for (const mark of marks) {
    const last = out[out.length - 1];
    if (last && mark.start <= last.end) last.end = Math.max(last.end, mark.end);
    else out.push({ ...mark });
  }
  return out;
}
