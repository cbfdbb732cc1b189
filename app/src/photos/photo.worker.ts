import { expose } from "comlink";
import { imageSize } from "image-size";
import { isMp4, isStill, stripClip } from "@mechanon/core";
import type { PhotoFault } from "./photoFault";

/** More is no photo of a phone; it is not even read. */
const MOST_BYTES = 40 * 1024 * 1024;
/** The largest sensors of phones; what says it is larger only fills the memory. */
const MOST_PIXELS = 220_000_000;
const LONGEST_SIDE = 30_000;
/** Below this there is nothing to see. */
const SMALLEST_SIDE = 8;
const MOST_CLIP_BYTES = 15 * 1024 * 1024;
const JPEG_QUALITY = 0.8;
/** As much of a file as its header may be long: a camera's preview stands in it. */
const HEAD_BYTES = 256 * 1024;
const WEBM = [0x1a, 0x45, 0xdf, 0xa3];

/** A file made ready to be kept and sent. */
export interface ReadyMedia {
  media: "photo" | "clip";
  blob: Blob;
}

/**
 * Makes a photo ready: turned upright, made small, without place and device; of a clip only these are taken out.
 *
 * @param longestSide - in pixels.
 */
async function makeReady(file: Blob, longestSide: number): Promise<ReadyMedia | PhotoFault> {
  if (file.size > MOST_BYTES) return { fault: "tooLarge" };
  const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
  if (isMp4(head) || WEBM.every((byte, place) => head[place] === byte)) return clip(file);
  const size = sizeOf(head);
  const isHuge = size && (size.width * size.height > MOST_PIXELS || Math.max(size.width, size.height) > LONGEST_SIDE);
  if (isHuge) return { fault: "tooManyPixels" };
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) return { fault: isStill(head) ? "heic" : size ? "damaged" : "noPicture" };
  if (Math.max(picture.width, picture.height) < SMALLEST_SIDE) return { fault: "nothingToSee" };
  const scale = Math.min(1, longestSide / Math.max(picture.width, picture.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(picture.width * scale)),
    Math.max(1, Math.round(picture.height * scale)),
  );
  const drawing = canvas.getContext("2d");
  if (drawing) drawing.imageSmoothingQuality = "high";
  drawing?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return { media: "photo", blob: await canvas.convertToBlob({ type: "image/jpeg", quality: JPEG_QUALITY }) };
}

async function clip(file: Blob): Promise<ReadyMedia | PhotoFault> {
  if (file.size > MOST_CLIP_BYTES) return { fault: "clipTooLarge" };
  const stripped = stripClip(new Uint8Array(await file.arrayBuffer()));
  return { media: "clip", blob: new Blob([stripped], { type: file.type === "" ? "video/mp4" : file.type }) };
}

/** What a picture's header says; null: it has none that is known. */
function sizeOf(head: Uint8Array): { width: number; height: number } | null {
  try {
    return imageSize(head);
  } catch {
    // A file without such a header is none of the pictures it knows; the browser may still know it.
    return null;
  }
}

const reader = { makeReady };
export type PhotoReader = typeof reader;
expose(reader);
