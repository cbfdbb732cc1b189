import { CHECK_DIGIT_INDEX, expectedCheckDigit } from "../checkDigit";
import { decodeVin, type VinContext } from "../decodeVin";
import { differences, sightingOf, stretches, type Look, type Reading, type Sighting } from "./looks";

/** A VIN that a photo may show. */
export interface SeenVin extends Sighting {
  checkDigitOk: boolean;
}

const LENGTH = 17;
const LABEL = /^\s*VIN\b[\s:.#]*/;
const NEVER_IN_VIN: Readonly<Record<string, string>> = { I: "1", O: "0", Q: "0" };
const LOOK_ALIKES = ["0D", "0C", "0U", "1L", "1T", "1J", "17", "5S", "8B", "2Z", "6G", "6B", "4A", "3B", "38", "UV", "VY", "KX", "MN", "MH", "EF", "PR", "CG"]; // prettier-ignore
/** Words around a VIN make stretches of 17, too; a VIN ends with its number. */
const SERIAL = /\d{4}$/;
/** Of the last five characters; one may be misread. */
const FEWEST_DIGITS_AT_END = 3;
/** Readings of one label differ in no more. */
const MOST_DIFFERENCES = 4;
const MOST = 4;

/** What a character of a VIN may be taken for. */
export function vinLookAlikes(character: string): string[] {
  return LOOK_ALIKES.filter((pair) => pair.includes(character)).map((pair) => pair.replace(character, ""));
}

/**
 * The VINs that several looks at a photo may show, likeliest first: what was read alike more than once before what was
 * read once, and that before what was only made out of a reading that cannot be right.
 */
export function vinsInLooks(looks: readonly Look[], context: VinContext): SeenVin[] {
  const readings = looks.flatMap((lines, look) =>
    lines
      .flatMap((line) => stretches(line, LENGTH, LABEL, look))
      .map(inVinLetters)
      .filter(mayBeVin),
  );
  const candidates = new Set(readings.flatMap((reading) => candidatesOf(reading.text, context)));
  const seen = [...candidates].map((vin): SeenVin => {
    const ofLabel = readings.filter(({ text }) => differences(text, vin) <= MOST_DIFFERENCES);
    return { ...sightingOf(vin, ofLabel, vinLookAlikes), checkDigitOk: isSound(vin) };
  });
  return seen
    .sort(
      (a, b) =>
        Number(b.checkDigitOk) - Number(a.checkDigitOk) ||
        b.looks - a.looks ||
        a.unsure.length - b.unsure.length ||
        (a.text < b.text ? -1 : 1),
    )
    .slice(0, MOST);
}

/** Whether one VIN was read alike in two looks, holds its check digit, and nothing else may be meant by a label like it. */
export function isAgreed(seen: readonly SeenVin[]): boolean {
  const [best, next] = seen;
  return (
    best !== undefined &&
    isCertain(best) &&
    (next === undefined || next.looks < best.looks || differences(best.text, next.text) > MOST_DIFFERENCES)
  );
}

/** Read alike in two looks at least, with nothing unsure. */
export function isCertain({ looks, unsure, checkDigitOk }: SeenVin): boolean {
  return looks > 1 && unsure.length === 0 && checkDigitOk;
}

function inVinLetters(reading: Reading): Reading {
  return { ...reading, text: [...reading.text].map((character) => NEVER_IN_VIN[character] ?? character).join("") };
}

function mayBeVin({ text }: Reading): boolean {
  return (text.slice(-5).match(/\d/g) ?? []).length >= FEWEST_DIGITS_AT_END;
}

/** What a reading may mean: itself, with the check digit put right, or with look-alikes put right. */
function candidatesOf(read: string, context: VinContext): string[] {
  const report = decodeVin(read, context);
  const expected = expectedCheckDigit(read);
  const isKnown = report.maker !== null && SERIAL.test(read);
  // A letter there can only be misread, and the other sixteen say what it was.
  const isLetter = expected !== null && /[A-WYZ]/.test(read.charAt(CHECK_DIGIT_INDEX));
  return [
    ...(isKnown ? [read] : []),
    ...(isKnown && isLetter ? [read.slice(0, CHECK_DIGIT_INDEX) + expected + read.slice(CHECK_DIGIT_INDEX + 1)] : []),
    ...report.suggestions.slice(0, 3).flatMap(({ vin }) => (SERIAL.test(vin) ? [vin] : [])),
  ];
}

function isSound(vin: string): boolean {
  return expectedCheckDigit(vin) === vin.charAt(CHECK_DIGIT_INDEX);
}
