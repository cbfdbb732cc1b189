import { imageSize } from "image-size";
import { PHOTO_TYPES } from "@mechanon/contract";
import { AppError } from "../errors/appError";

/** First bytes of each kind of picture we take; what a file is called does not count. */
const MAGIC: Record<(typeof PHOTO_TYPES)[number], (bytes: Buffer) => boolean> = {
  "image/jpeg": (bytes) => bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff])),
  "image/png": (bytes) => bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])),
  "image/webp": (bytes) =>
    bytes.subarray(0, 4).toString("latin1") === "RIFF" && bytes.subarray(8, 12).toString("latin1") === "WEBP",
};
/** The largest sensors of phones; what says it is larger only fills the memory of who opens it. */
export const MOST_PIXELS = 220_000_000;
const LONGEST_SIDE = 30_000;

/** The kind of a picture. @throws {AppError} `photo/unreadable` where it is none, or larger than any phone can show. */
export function readPicture(bytes: Buffer): (typeof PHOTO_TYPES)[number] {
  const type = PHOTO_TYPES.find((candidate) => MAGIC[candidate](bytes));
  const size = type ? sizeOf(bytes) : null;
  if (!type || !size)
    throw new AppError(
      "photo/unreadable",
      "This file is no JPEG, PNG or WebP picture. It was not kept; take the photo again or pick another file.",
    );
  if (size.width * size.height > MOST_PIXELS || Math.max(size.width, size.height) > LONGEST_SIDE)
    throw new AppError(
      "photo/unreadable",
      `This picture says it has ${size.width} by ${size.height} pixels, more than any phone can show. It was not kept; send a smaller one.`,
    );
  return type;
}

/** What its header says; null where it says nothing. */
function sizeOf(bytes: Buffer): { width: number; height: number } | null {
  try {
    return imageSize(bytes);
  } catch {
    // A picture without a readable header is none.
    return null;
  }
}
