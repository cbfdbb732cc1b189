import { isAgreed, isCertainPlate } from "@mechanon/core/vin";
import type { PhotoReading, PhotoStep } from "./readPhoto";

const STEPS: Readonly<Record<PhotoStep, string>> = {
  codes: "Looking for a code in the photo",
  text: "Reading the text in the photo",
  turned: "Turning the photo and reading again",
  again: "Reading it once more, to be sure",
};

/** What is being done with a photo, while one waits. */
export function stepWords(step: PhotoStep): string {
  return STEPS[step];
}

/** What came of reading a photo: what it shows, or why not and what to do. */
export function readingWords(reading: PhotoReading | "no picture" | "failed", wanted: "vin" | "plate"): string {
  if (reading === "no picture")
    return "This file is no picture this phone can read. Take the photo again, or type it; what you typed is kept.";
  if (reading === "failed")
    return "The photo could not be read here: what reads it is not on this phone yet, and there is no connection. Type it, or try again with a connection.";
  const { vins, plates, from } = reading;
  const found = wanted === "vin" ? vins.length : plates.length;
  if (found === 0)
    return wanted === "vin"
      ? "No VIN was found in this photo. Go closer, wipe the label, hold the phone level, and try again; or type it."
      : "No plate was found in this photo. Go closer and try again, or type it.";
  if (from === "code")
    return found === 1 ? "The code says:" : `The photo shows ${found} codes with a VIN. Which one is this car's?`;
  const [plate] = plates;
  const isSure = wanted === "vin" ? isAgreed(vins) : plate !== undefined && isCertainPlate(plate);
  if (isSure) return found === 1 ? "The photo seems to say:" : "The photo seems to say the first of these:";
  return found === 1
    ? "The photo seems to say this, but not surely:"
    : "The photo seems to say one of these, but not surely:";
}

/** What is unsure of one that was read. */
export function unsureWords(positions: readonly number[], looks: number): string {
  if (positions.length > 0) return `Not sure of character ${positions.join(", ")}`;
  return looks < 2 ? "Read once only: compare every character" : "";
}

/** Why a plate may be misread although all of it was read surely; empty for a VIN, or a plate that reads like the others. */
export function plateDoubt(seen: object, region: string): string {
  return "fits" in seen && seen.fits === false
    ? `Plates of ${region} read otherwise: a sign may be wrong, or missing`
    : "";
}
