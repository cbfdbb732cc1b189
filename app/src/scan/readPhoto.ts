import { isAgreed, isCertainPlate, type Look, type SeenPlate, type SeenVin } from "@mechanon/core/vin";
import { vinClient } from "../vin/vinClient";
import type { Turn } from "./picture.worker";
import { angleOf, prepareForText, readCodes } from "./pictureClient";
import { readText, type TextLook } from "./textClient";

/** What a photo was found to show; always to be confirmed by a person. */
export interface PhotoReading {
  from: "code" | "text";
  vins: SeenVin[];
  plates: SeenPlate[];
}

/** What is looked for in a photo: a plate reads as its state's do. */
export type Wanted = { what: "vin" } | { what: "plate"; region: string };

/** How far the reading is, for the person who waits. */
export type PhotoStep = "codes" | "text" | "turned" | "again";

/** Text so little askew is read as it is. */
const LEAST_ASKEW_DEGREES = 1.5;
const UPRIGHT: Turn = { degrees: 0, mirrored: false };

/** Text is read best at about this size, in pixels of the longest side. */
const USUAL_SIDE = 1600;

/** One look at the text of a photo. */
interface Try {
  turn: Turn;
  look: TextLook;
  side: number;
}

/**
 * Made level, on each side; level in other ways; as it was taken, and through a mirror. Shadows come after the sides:
 * of lines on their side they take longest.
 *
 * @param askew - in degrees clockwise.
 */
function textTries(askew: number): Try[] {
  const turn = Math.abs(askew) < LEAST_ASKEW_DEGREES ? 0 : -askew;
  const level = { degrees: turn, mirrored: false };
  const tries: Omit<Try, "side">[] = [
    ...[0, 90, 270, 180].map((side) => ({ turn: { degrees: side + turn, mirrored: false }, look: "lines" as const })),
    { turn: level, look: "shadow" },
    { turn: level, look: "words" },
    ...(turn === 0 ? [] : [{ turn: UPRIGHT, look: "lines" as const }]),
    { turn: { degrees: -turn, mirrored: true }, look: "lines" },
  ];
  return tries.map((each) => ({ ...each, side: USUAL_SIDE }));
}

/** Where something was read it is looked at in other ways, since one look alone is often sure and wrong. */
function furtherLooks({ turn, look }: Try): Try[] {
  return [
    { turn, look, side: 1250 },
    { turn, look: look === "shadow" ? "lines" : "shadow", side: USUAL_SIDE },
    { turn: { ...turn, degrees: turn.degrees + 1 }, look, side: 2000 },
  ];
}

/** Nobody waits longer in a driveway; what was found by then is shown. */
const LONGEST_MS = 12_000;
/** A slow device still looks at the picture from its four sides, or a label held upside down is never read on it. */
const LONGEST_FOR_SIDES_MS = 30_000;
const SIDES = 4;

/**
 * Reads the VIN or plate in a photo: its codes first, then its text, turned until something is found, and looked at
 * again until two looks agree.
 *
 * @returns null when the file is no picture; with empty lists when nothing was found.
 * @throws when a worker or its files cannot be had, or `signal` says stop.
 */
export async function readPhoto(
  file: Blob,
  wanted: Wanted,
  onStep: (step: PhotoStep) => void,
  signal: AbortSignal,
): Promise<PhotoReading | null> {
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) return null;
  try {
    return (
      (wanted.what === "vin" ? await fromCodes(picture, onStep, signal) : null) ??
      (await fromText(picture, wanted, onStep, signal))
    );
  } finally {
    // Twelve megapixels are 48 MB: not left to whenever they are collected.
    picture.close();
  }
}

async function fromCodes(
  picture: ImageBitmap,
  onStep: (step: PhotoStep) => void,
  signal: AbortSignal,
): Promise<PhotoReading | null> {
  onStep("codes");
  const codes = await readCodes(await createImageBitmap(picture), "thorough");
  const vins = (await Promise.all(codes.map(({ text }) => vinClient().readCode(text)))).flat();
  signal.throwIfAborted();
  if (vins.length === 0) return null;
  // A code checks itself: it is read right or not at all.
  const seen = [...new Set(vins)].map((text) => ({ text, looks: 2, unsure: [], checkDigitOk: true }));
  return { from: "code", vins: seen, plates: [] };
}

async function fromText(
  picture: ImageBitmap,
  wanted: Wanted,
  onStep: (step: PhotoStep) => void,
  signal: AbortSignal,
): Promise<PhotoReading> {
  const looks: Look[] = [];
  const started = performance.now();
  const look = async ({ turn, look: way, side }: Try, longest: number): Promise<boolean> => {
    const left = longest - (performance.now() - started);
    if (left <= 0) return false;
    looks.push(await readText(await prepareForText(await createImageBitmap(picture), turn, side), way, left));
    signal.throwIfAborted();
    return true;
  };
  for (const [place, each] of textTries(await angleOf(await createImageBitmap(picture))).entries()) {
    onStep(place === 0 ? "text" : "turned");
    if (!(await look(each, place < SIDES ? LONGEST_FOR_SIDES_MS : LONGEST_MS))) break;
    if (!isPromising(await readingOf(looks, wanted))) continue;
    onStep("again");
    for (const further of furtherLooks(each)) {
      if (!(await look(further, LONGEST_FOR_SIDES_MS)) || isSettled(await readingOf(looks, wanted))) break;
    }
    break;
  }
  return readingOf(looks, wanted);
}

async function readingOf(looks: Look[], wanted: Wanted): Promise<PhotoReading> {
  return wanted.what === "vin"
    ? { from: "text", vins: await vinClient().readVins(looks), plates: [] }
    : { from: "text", vins: [], plates: await vinClient().readPlates(looks, wanted.region) };
}

/** Whether there is something to look at again. */
function isPromising({ vins, plates }: PhotoReading): boolean {
  return plates.length > 0 || vins.some(({ checkDigitOk }) => checkDigitOk);
}

function isSettled({ vins, plates: [plate] }: PhotoReading): boolean {
  return isAgreed(vins) || (plate !== undefined && isCertainPlate(plate));
}
