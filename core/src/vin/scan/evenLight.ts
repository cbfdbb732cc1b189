/** Levels that stay levels: the grain of a plain ground is not made black and white. */
const GRAIN = 10;
/** Levels away from the middle that one deviation from the mean becomes. */
const SPREAD = 64;
const MIDDLE = 128;

/**
 * Makes a gray picture as light and as rich in contrast everywhere as it is anywhere: a label in the shadow beside
 * sunlit paint reads like one alone in the picture. Each pixel is held against the mean and the deviation around it.
 *
 * @param pixels - red, green, blue and opacity of each pixel, red taken for gray; changed in place.
 * @param reach - how far around a pixel is looked, in pixels; more than the widest bar or letter.
 * @see Crow, "Summed-area tables for texture mapping" (1984), for the sums
 */
export function evenLight(pixels: Uint8ClampedArray, width: number, height: number, reach: number): void {
  const { sums, squares } = summed(pixels, width, height);
  const stride = width + 1;
  for (let y = 0; y < height; y++) {
    const top = Math.max(0, y - reach) * stride;
    const bottom = Math.min(height, y + reach + 1) * stride;
    for (let x = 0; x < width; x++) {
      const left = Math.max(0, x - reach);
      const right = Math.min(width, x + reach + 1);
      const count = ((bottom - top) / stride) * (right - left);
      const over = (table: Float64Array): number =>
        ((table[bottom + right] ?? 0) -
          (table[bottom + left] ?? 0) -
          (table[top + right] ?? 0) +
          (table[top + left] ?? 0)) /
        count;
      const mean = over(sums);
      const deviation = Math.sqrt(Math.max(0, over(squares) - mean * mean));
      const at = (y * width + x) * 4;
      const gray = MIDDLE + (((pixels[at] ?? 0) - mean) / (deviation + GRAIN)) * SPREAD;
      pixels[at + 1] = gray;
    }
  }
  // Only now, since the sums are of what stood there before.
  for (let at = 0; at < pixels.length; at += 4) {
    const gray = pixels[at + 1] ?? 0;
    pixels[at] = gray;
    pixels[at + 2] = gray;
  }
}

/** Sums of all levels, and of their squares, above and left of each place. */
function summed(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
): { sums: Float64Array; squares: Float64Array } {
  const stride = width + 1;
  const sums = new Float64Array(stride * (height + 1));
  const squares = new Float64Array(stride * (height + 1));
  for (let y = 0; y < height; y++) {
    let sum = 0;
    let square = 0;
    for (let x = 0; x < width; x++) {
      const level = pixels[(y * width + x) * 4] ?? 0;
      sum += level;
      square += level * level;
      const at = (y + 1) * stride + x + 1;
      sums[at] = (sums[at - stride] ?? 0) + sum;
      squares[at] = (squares[at - stride] ?? 0) + square;
    }
  }
  return { sums, squares };
}
