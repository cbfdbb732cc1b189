import { vinClient } from "../vin/vinClient";
import type { Turn } from "./picture.worker";
import { prepareForText, readCodes } from "./pictureClient";
import { readText } from "./textClient";

/** What a photo was found to show; always to be confirmed by a person. */
export interface PhotoReading {
  from: "code" | "text";
  vins: { vin: string; changed: number; checkDigitOk: boolean }[];
  plates: string[];
}

/** How far the reading is, for the person who waits. */
export type PhotoStep = "codes" | "text" | "turned";

/** Upright first; then as phones are held and labels are stuck on, a little askew, and through a mirror. */
const TURNS: readonly Turn[] = [
  { degrees: 0, mirrored: false },
  { degrees: 90, mirrored: false },
  { degrees: 270, mirrored: false },
  { degrees: 180, mirrored: false },
  { degrees: 6, mirrored: false },
  { degrees: -6, mirrored: false },
  { degrees: 13, mirrored: false },
  { degrees: -13, mirrored: false },
  { degrees: 0, mirrored: true },
];

/** Nobody waits longer in a driveway; what was found by then is shown. */
const LONGEST_MS = 20_000;

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
  for (const turn of TURNS) {
    if (performance.now() - started > LONGEST_MS) break;
    onStep(turn === TURNS[0] ? "text" : "turned");
    const text = await readText(
      await prepareForText(await createImageBitmap(picture), turn),
      turn === TURNS[0] ? "thorough" : "quick",
    );
    signal.throwIfAborted();
    const { vins: read, plates } = await vinClient().readText(text);
    if (best.vins.length === 0 && best.plates.length === 0) best = { from: "text", vins: read, plates };
    if (wanted === "vin" && read.some(({ checkDigitOk }) => checkDigitOk)) return { from: "text", vins: read, plates };
    if (wanted === "plate" && plates.length > 0) return { from: "text", vins: read, plates };
  }
  picture.close();
  return best;
}
