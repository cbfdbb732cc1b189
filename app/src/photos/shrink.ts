const LONGEST_SIDE = 1600;
const JPEG_QUALITY = 0.8;

/**
 * A photo small enough to send over one bar of signal: at most 1600 px, as JPEG.
 * @param longestSide - in pixels.
 * @returns null when the file is no picture the browser can read.
 */
export async function shrinkPhoto(file: Blob, longestSide = LONGEST_SIDE): Promise<Blob | null> {
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) return null;
  const scale = Math.min(1, longestSide / Math.max(picture.width, picture.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(picture.width * scale)),
    Math.max(1, Math.round(picture.height * scale)),
  );
  canvas.getContext("2d")?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return canvas.convertToBlob({ type: "image/jpeg", quality: JPEG_QUALITY });
}
