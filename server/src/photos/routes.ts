import { imageSize } from "image-size";
import { PHOTO_TYPES, routes } from "@mechanon/contract";
import { AppError } from "../http/errors";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { findPhotos, keepPhoto } from "./photos";

/** First bytes of each kind of picture we take; what a file is called does not count. */
const MAGIC: Record<(typeof PHOTO_TYPES)[number], (bytes: Buffer) => boolean> = {
  "image/jpeg": (bytes) => bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff])),
  "image/png": (bytes) => bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])),
  "image/webp": (bytes) =>
    bytes.subarray(0, 4).toString("latin1") === "RIFF" && bytes.subarray(8, 12).toString("latin1") === "WEBP",
};
/** The largest sensors of phones; what says it is larger only fills the memory of who opens it. */
const MOST_PIXELS = 220_000_000;
const LONGEST_SIDE = 30_000;

export function photoRoutes(mounting: Mounting, deps: Deps): void {
  mounting.route(routes.putPhoto, async ({ scope, params, file: bytes }) => {
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
    await keepPhoto(deps, scope.businessId, { id: params.id, type, bytes });
  });
  mounting.route(routes.getPhoto, async ({ scope, params, req, res }) => {
    // An id names the same picture for good, but only whoever is signed in may look at it again.
    const tag = `"${params.id}"`;
    res.set({ "Cache-Control": "private, no-cache", ETag: tag });
    const [photo] = await findPhotos(deps, scope.businessId, [params.id]);
    if (!photo)
      throw new AppError(
        "photo/not-found",
        "This photo has not arrived here yet. It may still be on the phone that took it.",
      );
    if (req.get("If-None-Match") === tag) res.status(304).end();
    else res.type(photo.type).send(photo.bytes);
  });
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
