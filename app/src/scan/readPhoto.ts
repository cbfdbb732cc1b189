import { vinClient } from "../vin/vinClient";
import type { Turn } from "./picture.worker";
import { angleOf, prepareForText, readCodes } from "./pictureClient";
import { readText, type TextLook } from "./textClient";

/** What a photo was found to show; always to be confirmed by a person. */
export interface PhotoReading {
  from: "code" | "text";
  vins: { vin: string; changed: number; checkDigitOk: boolean }[];
  plates: string[];
}

/** How far the reading is, for the person who waits. */
export type PhotoStep = "codes" | "text" | "turned";

/** Text so little askew is read as it is. */
const LEAST_ASKEW_DEGREES = 1.5;
const UPRIGHT: Turn = { degrees: 0, mirrored: false };

/**
 * Made level, on each side; level in other ways; as it was taken, and through a mirror. Shadows come after the sides:
 * of lines on their side they take longest.
 *
 * @param askew - in degrees clockwise.
 */
function textTries(askew: number): { turn: Turn; look: TextLook }[] {
  const turn = Math.abs(askew) < LEAST_ASKEW_DEGREES ? 0 : -askew;
  const level = { degrees: turn, mirrored: false };
  return [
    ...[0, 90, 270, 180].map((side) => ({ turn: { degrees: side + turn, mirrored: false }, look: "lines" as const })),
    { turn: level, look: "shadow" },
    { turn: level, look: "words" },
    ...(turn === 0 ? [] : [{ turn: UPRIGHT, look: "lines" as const }]),
    { turn: { degrees: -turn, mirrored: true }, look: "lines" },
  ];
}

/** Nobody waits longer in a driveway; what was found by then is shown. */
const LONGEST_MS = 12_000;
/** A slow device still looks at the picture from its four sides, or a label held upside down is never read on it. */
const LONGEST_FOR_SIDES_MS = 30_000;
const SIDES = 4;

/**
 * Reads the VIN or plate in a photo: its codes first, then its text, turned until something is found.
 *
 * @param wanted - which of the two ends the search.
 * @returns null when the file is no picture; with empty lists when nothing was found.
 * @throws when a worker or its files cannot be had, or `signal` says stop.
 */
export async function readPhoto(
  file: Blob,
  wanted: "vin" | "plate",
  onStep: (step: PhotoStep) => void,
  signal: AbortSignal,
): Promise<PhotoReading | null> {
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) return null;
  try {
    return await readOpened(picture, wanted, onStep, signal);
  } finally {
    // Twelve megapixels are 48 MB: not left to whenever they are collected.
    picture.close();
  }
}

async function readOpened(
  picture: ImageBitmap,
  wanted: "vin" | "plate",
  onStep: (step: PhotoStep) => void,
  signal: AbortSignal,
): Promise<PhotoReading> {
  onStep("codes");
  const codes = wanted === "vin" ? await readCodes(await createImageBitmap(picture), "thorough") : [];
  const vins = (await Promise.all(codes.map(({ text }) => vinClient().readCode(text)))).flat();
  signal.throwIfAborted();
  if (vins.length > 0)
    return {
      from: "code",
      vins: [...new Set(vins)].map((vin) => ({ vin, changed: 0, checkDigitOk: true })),
      plates: [],
    };
  let best: PhotoReading = { from: "text", vins: [], plates: [] };
  const started = performance.now();
  for (const [place, { turn, look }] of textTries(await angleOf(await createImageBitmap(picture))).entries()) {
    const longest = place < SIDES ? LONGEST_FOR_SIDES_MS : LONGEST_MS;
    const left = longest - (performance.now() - started);
    if (left <= 0) break;
    onStep(place === 0 ? "text" : "turned");
    const text = await readText(await prepareForText(await createImageBitmap(picture), turn), look, left);
    signal.throwIfAborted();
    const { vins: read, plates } = await vinClient().readText(text);
    if (best.vins.length === 0 && best.plates.length === 0) best = { from: "text", vins: read, plates };
    if (wanted === "vin" && read.some(({ checkDigitOk }) => checkDigitOk)) return { from: "text", vins: read, plates };
    if (wanted === "plate" && plates.length > 0) return { from: "text", vins: read, plates };
  }
  return best;
}
