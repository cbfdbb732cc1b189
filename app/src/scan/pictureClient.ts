import { transfer, wrap, type Remote } from "comlink";
import type { FoundCode, PictureReader, Turn } from "./picture.worker";

let client: Remote<PictureReader> | undefined;

function open(): Remote<PictureReader> {
  client ??= wrap<PictureReader>(new Worker("/workers/picture.js"));
  return client;
}

/** The codes in a picture, read in a worker; the picture is given away. @param care - `quick` for a camera's. */
export function readCodes(picture: ImageBitmap, care: "quick" | "thorough"): Promise<FoundCode[]> {
  return open().readPicture(transfer(picture, [picture]), care);
}

/** How far a label in a picture is askew, in degrees clockwise; the picture is given away. */
export function angleOf(picture: ImageBitmap): Promise<number> {
  return open().angleOf(transfer(picture, [picture]));
}

/** A picture made ready for reading text, in a worker; the picture is given away. @param side - the longest, in pixels. */
export function prepareForText(picture: ImageBitmap, turn: Turn, side: number): Promise<Blob> {
  return open().prepareForText(transfer(picture, [picture]), turn, side);
}
