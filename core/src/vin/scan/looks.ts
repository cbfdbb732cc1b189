/** A line as text recognition gave it, with how sure it was of each character (0 to 100). */
export interface SeenLine {
  text: string;
  /** As many as `text` has characters. */
  confidence: readonly number[];
}
/** What one look at a photo gave. */
export type Look = readonly SeenLine[];

/** A character somebody has to look at on the car. */
export interface UnsureCharacter {
  /** 1-based. */
  position: number;
  /** What it may be, the likeliest first. */
  choices: string[];
}

/** What a photo may show, as far as the looks at it agree. */
export interface Sighting {
  text: string;
  /** In so many looks it was read just so. */
  looks: number;
  unsure: UnsureCharacter[];
}

/** Below this a character is as good as not read, whatever the other looks say. */
const WEAK = 75;
/** Read in one look only, a character has to be surer than this. */
const WEAK_ALONE = 88;
/** Nobody compares more characters than these; what has more is to be photographed again. */
export const MOST_UNSURE = 6;

/** A stretch of a line that may be what is looked for. */
export interface Reading {
  text: string;
  confidence: readonly number[];
  /** Which of the looks. */
  look: number;
}

/**
 * How far readings of several looks agree on a text of the same length.
 *
 * @param text - what it may be; it need not have been read just so.
 * @param readings - those that are of the same label.
 * @param lookAlikes - what else a character may be where it is not sure.
 */
export function sightingOf(
  text: string,
  readings: readonly Reading[],
  lookAlikes: (character: string) => readonly string[],
): Sighting {
  const looks = new Set(readings.filter((reading) => reading.text === text).map(({ look }) => look)).size;
  const unsure = [...text].flatMap((character, index): UnsureCharacter[] => {
    const others = readings
      .map((reading) => reading.text[index] ?? "")
      .filter((read) => read !== character && read !== "");
    const agreeing = readings.filter((reading) => reading.text[index] === character);
    const surest = Math.max(0, ...agreeing.map(({ confidence }) => confidence[index] ?? 0));
    const isAgreed = new Set(agreeing.map(({ look }) => look)).size > 1;
    if (others.length === 0 && surest >= (isAgreed ? WEAK : WEAK_ALONE)) return [];
    return [{ position: index + 1, choices: [...new Set([character, ...others, ...lookAlikes(character)])] }];
  });
  return { text, looks, unsure };
}

/** How many characters of two texts of one length differ. */
export function differences(a: string, b: string): number {
  return [...a].filter((character, index) => character !== b[index]).length;
}

/**
 * Every stretch of so many letters and digits of a line, what sets them apart left out, with how sure each is.
 * @param before - what of the line's beginning is a label.
 */
export function stretches(line: SeenLine, length: number, before: RegExp | null, look: number): Reading[] {
  const text = line.text.toUpperCase();
  const label = before === null ? 0 : (before.exec(text)?.[0].length ?? 0);
  const signs = [...text].flatMap((character, index) =>
    index >= label && /[A-Z0-9]/.test(character) ? [{ character, confidence: line.confidence[index] ?? 0 }] : [],
  );
  return Array.from({ length: Math.max(0, signs.length - length + 1) }, (_, start) => {
    const part = signs.slice(start, start + length);
    return {
      text: part.map(({ character }) => character).join(""),
      confidence: part.map(({ confidence }) => confidence),
      look,
    };
  });
}
