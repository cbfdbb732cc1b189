import { CHECK_DIGIT_INDEX, expectedCheckDigit } from "../checkDigit";
import { decodeVin, type VinContext } from "../decodeVin";

/** A VIN that a photographed text may show. */
export interface ReadVin {
  vin: string;
  /** How many characters were put right. */
  changed: number;
  checkDigitOk: boolean;
}

const NEVER_IN_VIN: Readonly<Record<string, string>> = { I: "1", O: "0", Q: "0" };
/** Words around a VIN make stretches of 17, too; a VIN ends with its number. */
const SERIAL = /\d{4}$/;
/** Of the last five characters; one may be misread. */
const FEWEST_DIGITS_AT_END = 3;
const MOST = 4;

/**
 * The VINs that text read from a photo may show, likeliest first. Characters no VIN has are put right; where the check
 * digit does not hold, what was probably meant comes before what was read.
 *
 * @param text - lines as the text recognition gave them.
 */
export function vinsInText(text: string, context: VinContext): ReadVin[] {
  const found = new Map<string, ReadVin>();
  const add = (vin: string, read: string): void => {
    const changed = [...vin].filter((character, index) => character !== read.charAt(index)).length;
    const known = found.get(vin);
    if (!known || known.changed > changed) found.set(vin, { vin, changed, checkDigitOk: isSound(vin) });
  };
  for (const read of windows(text)) {
    const vin = [...read].map((character) => NEVER_IN_VIN[character] ?? character).join("");
    if ((vin.slice(-5).match(/\d/g) ?? []).length < FEWEST_DIGITS_AT_END) continue;
    const report = decodeVin(vin, context);
    const expected = expectedCheckDigit(vin);
    // A letter there can only be misread, and the other sixteen say what it was.
    if (expected !== null && /[A-WYZ]/.test(vin.charAt(CHECK_DIGIT_INDEX)) && report.maker !== null && SERIAL.test(vin))
      add(vin.slice(0, CHECK_DIGIT_INDEX) + expected + vin.slice(CHECK_DIGIT_INDEX + 1), read);
    for (const { vin: meant } of report.suggestions.slice(0, 3)) if (SERIAL.test(meant)) add(meant, read);
    if (report.maker !== null && SERIAL.test(vin)) add(vin, read);
  }
  return [...found.values()]
    .sort((a, b) => Number(b.checkDigitOk) - Number(a.checkDigitOk) || a.changed - b.changed)
    .slice(0, MOST);
}

/** Every stretch of 17 letters and digits of one line, spaces within it left out. */
function windows(text: string): string[] {
  return text
    .toUpperCase()
    .split(/\r?\n/)
    .flatMap((line) => {
      const run = line.replace(/^\s*VIN\b[\s:.#]*/, "").replace(/[^A-Z0-9]/g, "");
      return Array.from({ length: Math.max(0, run.length - 16) }, (_, start) => run.slice(start, start + 17));
    });
}

function isSound(vin: string): boolean {
  return expectedCheckDigit(vin) === vin.charAt(CHECK_DIGIT_INDEX);
}

/** What a plate may show, likeliest first: short runs with a digit, the longest line of it first. */
export function platesInText(text: string): string[] {
  const runs = text
    .toUpperCase()
    .split(/\r?\n/)
    .flatMap((line) => [line.replace(/[^A-Z0-9]/g, ""), ...line.split(/[^A-Z0-9]+/)])
    .filter((run) => run.length >= 4 && run.length <= 8 && /\d/.test(run));
  return [...new Set(runs)]
    .sort((a, b) => Number(/[A-Z]/.test(b)) - Number(/[A-Z]/.test(a)) || b.length - a.length)
    .slice(0, MOST);
}
