import sharp from "sharp";
import { MOST_LOGO_BYTES } from "@mechanon/core";
import { AppError } from "../errors/appError";
import { MOST_PIXELS, readPicture } from "../photos/readPicture";

/** Of these the first is taken that is small enough: twice what a paper shows, then once. */
const SIZES = [
  { width: 480, height: 144 },
  { width: 240, height: 72 },
];

/**
 * Makes of a picture what stands on papers.
 * @returns PNG in base 64.
 * @throws {AppError} `photo/unreadable` for what is none, or is damaged.
 */
export async function readLogo(bytes: Buffer): Promise<string> {
  readPicture(bytes);
  for (const size of SIZES) {
    const png = await small(bytes, size);
    if (png.length <= MOST_LOGO_BYTES) return png.toString("base64");
  }
  throw new AppError(
    "photo/unreadable",
    "This picture has too much in it to stand small on a paper. The logo is as it was; take a plainer one.",
  );
}

async function small(bytes: Buffer, size: { width: number; height: number }): Promise<Buffer> {
  try {
    return await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "truncated" })
      .autoOrient()
      .resize({ ...size, fit: "inside", withoutEnlargement: true })
      .png({ palette: true, compressionLevel: 9 })
      .toBuffer();
  } catch {
    // Whatever the library found wrong with it, it cannot be shown.
    throw new AppError(
      "photo/unreadable",
      "This picture is damaged or cut off. The logo is as it was; pick another file.",
    );
  }
}
