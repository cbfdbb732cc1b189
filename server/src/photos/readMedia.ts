import sharp from "sharp";
import { clipSeconds, isMp4, stripClip } from "@mechanon/core";
import { MOST_CLIP_SECONDS, MOST_PHOTO_BYTES, type MediaType } from "@mechanon/contract";
import { AppError } from "../errors/appError";
import { MOST_PIXELS, readPicture } from "./readPicture";

/** A photo or clip as it is kept. */
export interface ReadMedia {
  type: MediaType;
  /** Without place, device and maker. */
  bytes: Buffer;
  /** For lists; null: a clip has none. */
  small: Buffer | null;
}

/** Longest side of a small one, in pixels: twice what a list shows, for sharp screens. */
const SMALL_SIDE = 320;
const SMALL_QUALITY = 70;
const KEPT_QUALITY = 86;
const WEBM = Buffer.from([0x1a, 0x45, 0xdf, 0xa3]);
const LEEWAY_SECONDS = 1;

/** Whether bytes are a clip, by how they begin; what a file is called does not count. */
export function clipType(bytes: Buffer): Extract<MediaType, `video/${string}`> | null {
  if (bytes.subarray(0, 4).equals(WEBM)) return "video/webm";
  if (!isMp4(bytes)) return null;
  return bytes.subarray(8, 12).toString("latin1") === "qt  " ? "video/quicktime" : "video/mp4";
}

/**
 * Reads a photo or clip to its end, and makes of it what is kept: turned upright, without what tells where, when and with
 * what it was taken.
 *
 * @throws {AppError} `photo/unreadable` for what is none, is cut off, or is larger than any phone can show;
 *   `photo/too-long` for a clip of more than twenty seconds.
 */
export async function readMedia(bytes: Buffer): Promise<ReadMedia> {
  const clip = clipType(bytes);
  if (clip) return readClip(clip, bytes);
  const type = readPicture(bytes);
  if (bytes.length > MOST_PHOTO_BYTES)
    throw new AppError(
      "photo/unreadable",
      "This photo is larger than eight megabytes. It was not kept; send a smaller one.",
    );
  try {
    const picture = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "truncated" });
    const told = await picture.metadata();
    const isTelling = Boolean(told.exif ?? told.xmp ?? told.iptc ?? told.comments) || (told.orientation ?? 1) > 1;
    const upright = picture.clone().autoOrient();
    const small = await upright
      .clone()
      .resize({ width: SMALL_SIDE, height: SMALL_SIDE, fit: "inside", withoutEnlargement: true })
      .jpeg({ quality: SMALL_QUALITY })
      .toBuffer();
    if (!isTelling) return { type, bytes, small };
    return { type: "image/jpeg", bytes: await upright.jpeg({ quality: KEPT_QUALITY }).toBuffer(), small };
  } catch {
    // Whatever the library found wrong with it, it cannot be shown.
    throw new AppError(
      "photo/unreadable",
      "This picture is damaged or cut off. It was not kept; take the photo again or pick another file.",
    );
  }
}

function readClip(type: MediaType, bytes: Buffer): ReadMedia {
  const seconds = clipSeconds(bytes);
  if (seconds !== null && seconds > MOST_CLIP_SECONDS + LEEWAY_SECONDS)
    throw new AppError(
      "photo/too-long",
      `This clip has ${Math.round(seconds)} seconds; ${MOST_CLIP_SECONDS} at most are kept. It was not kept; take a shorter one.`,
    );
  return { type, bytes: Buffer.from(stripClip(bytes)), small: null };
}
