/**
 * Makes a picture gray, from its darkest to its lightest hundredth: a dim photo reads like a bright one.
 *
 * @param pixels - red, green, blue and opacity of each pixel, changed in place.
 */
export function stretchContrast(pixels: Uint8ClampedArray): void {
  const counts = new Uint32Array(256);
  for (let at = 0; at < pixels.length; at += 4) {
    const gray = Math.round(0.3 * (pixels[at] ?? 0) + 0.59 * (pixels[at + 1] ?? 0) + 0.11 * (pixels[at + 2] ?? 0));
    pixels[at] = gray;
    counts[gray] = (counts[gray] ?? 0) + 1;
  }
  const hundredth = pixels.length / 4 / 100;
  const dark = edge(counts, hundredth, (level) => level);
  const light = 255 - edge(counts, hundredth, (level) => 255 - level);
  const span = Math.max(1, light - dark);
  for (let at = 0; at < pixels.length; at += 4) {
    const gray = (((pixels[at] ?? 0) - dark) / span) * 255;
    pixels[at] = gray;
    pixels[at + 1] = gray;
    pixels[at + 2] = gray;
  }
}

/** The level by which so many pixels are passed. */
function edge(counts: Uint32Array, most: number, levelAt: (step: number) => number): number {
  let passed = 0;
  for (let step = 0; step < 256; step++) {
    passed += counts[levelAt(step)] ?? 0;
    if (passed > most) return step;
  }
  return 0;
}
