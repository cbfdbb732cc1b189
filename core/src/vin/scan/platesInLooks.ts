import { asPlatesOf, fitsPlatePattern, hasPlateLength } from "../../vehicles/platePatterns";
import { differences, sightingOf, type Look, type Reading, type Sighting } from "./looks";

/** A plate that a photo may show. */
export interface SeenPlate extends Sighting {
  /** Reads as the state's plates do; null where that is not known here. */
  fits: boolean | null;
}

const LOOK_ALIKES = ["0O", "0D", "0Q", "1I", "1L", "2Z", "4A", "5S", "6G", "7T", "8B", "UV", "MN", "CG", "EF"];
const LENGTHS = { least: 4, most: 8 };
const MOST_DIFFERENCES = 2;
const MOST = 4;

/** What a sign of a plate may be taken for. */
function plateLookAlikes(sign: string): string[] {
  return LOOK_ALIKES.filter((pair) => pair.includes(sign)).map((pair) => pair.replace(sign, ""));
}

/**
 * The plates that several looks at a photo may show, likeliest first: what reads as the state's plates do and was read
 * alike more than once comes first. Also what a reading would be as such a plate is offered.
 */
export function platesInLooks(looks: readonly Look[], region: string): SeenPlate[] {
  const readings = looks.flatMap((lines, look) => lines.flatMap((line) => runsOf(line, look)));
  const texts = new Set(readings.flatMap(({ text }) => [text, ...asPlatesOf(text, region)]));
  const seen = [...texts].map((text): SeenPlate => {
    const alike = readings.filter(
      (other) => other.text.length === text.length && differences(other.text, text) <= MOST_DIFFERENCES,
    );
    return { ...sightingOf(text, alike, plateLookAlikes), fits: fitsPlatePattern(text, region) };
  });
  return seen
    .sort(
      (a, b) =>
        Number(b.fits ?? false) - Number(a.fits ?? false) ||
        Number(hasPlateLength(b.text.length, region)) - Number(hasPlateLength(a.text.length, region)) ||
        b.looks - a.looks ||
        Number(hasLetter(b)) - Number(hasLetter(a)) ||
        a.unsure.length - b.unsure.length ||
        b.text.length - a.text.length,
    )
    .slice(0, MOST);
}

/** Read alike in two looks at least, with nothing unsure, and as plates of the state read. */
export function isCertainPlate({ looks, unsure, fits }: SeenPlate): boolean {
  return looks > 1 && unsure.length === 0 && fits !== false;
}

const hasLetter = ({ text }: SeenPlate): boolean => /[A-Z]/.test(text);

/** A line as a whole, and its runs between gaps: short, with a digit. */
function runsOf({ text, confidence }: Look[number], look: number): Reading[] {
  const signs = [...text.toUpperCase()].map((sign, index) => ({ sign, confidence: confidence[index] ?? 0 }));
  const runs: (typeof signs)[] = [[]];
  for (const each of signs)
    if (/[A-Z0-9]/.test(each.sign)) runs.at(-1)?.push(each);
    else runs.push([]);
  return [runs.flat(), ...runs]
    .filter(
      (run) => run.length >= LENGTHS.least && run.length <= LENGTHS.most && run.some(({ sign }) => /\d/.test(sign)),
    )
    .map((run) => ({
      text: run.map(({ sign }) => sign).join(""),
      confidence: run.map((each) => each.confidence),
      look,
    }));
}
