const COARSE_DEGREES = 3;
const FINE_DEGREES = 0.5;
/** An edge is a step of so many of 255 levels from a pixel to the next. */
const LEAST_STEP = 48;
/** The share of a picture that text has edges in. */
const MOST_EDGES = 0.02;

/**
 * How far a label in a picture is askew: the edges of text, cast onto an axis across its lines, pile up in the lines and
 * leave the gaps between them empty; across its letters the upright strokes do likewise (projection profile: Postl,
 * "Detection of linear oblique structures and skew scan in digitized documents", 1986).
 *
 * @param gray - one level for each pixel, row by row; a side of about 500 pixels is enough.
 * @returns degrees clockwise, from -45 up to 45; which of the label's four sides is up is not said. 0 where the picture
 * shows nothing.
 */
export function textAngle(gray: Uint8ClampedArray, width: number, height: number): number {
  const edges = edgesOf(gray, width, height);
  if (edges.length === 0) return 0;
  const reach = Math.ceil(Math.hypot(width, height));
  const bins = new Float64Array(2 * reach + 2);
  const score = (degrees: number): number =>
    rowContrast(edges, degrees, reach, bins) + rowContrast(edges, degrees + 90, reach, bins);
  const coarse = steepest(-45, 45 - COARSE_DEGREES, COARSE_DEGREES, score);
  const fine = steepest(coarse - COARSE_DEGREES, coarse + COARSE_DEGREES, FINE_DEGREES, score);
  return fine < -45 ? fine + 90 : fine >= 45 ? fine - 90 : fine;
}

/** Places of the steepest steps from dark to light, as x and y in turn. */
function edgesOf(gray: Uint8ClampedArray, width: number, height: number): number[] {
  const steps = new Uint8Array(width * height);
  const counts = new Uint32Array(256);
  for (let y = 1; y < height; y++)
    for (let x = 1; x < width; x++) {
      const at = y * width + x;
      const here = gray[at] ?? 0;
      const step = Math.max(Math.abs(here - (gray[at - 1] ?? 0)), Math.abs(here - (gray[at - width] ?? 0)));
      steps[at] = step;
      counts[step] = (counts[step] ?? 0) + 1;
    }
  const least = leastStep(counts, steps.length * MOST_EDGES);
  const found: number[] = [];
  steps.forEach((step, at) => {
    if (step >= least) found.push(at % width, Math.floor(at / width));
  });
  return found;
}

/** The step that only so many pixels reach: the grain of a photo is left out, its text is not. */
function leastStep(counts: Uint32Array, most: number): number {
  let reached = 0;
  for (let step = 255; step > LEAST_STEP; step--) {
    reached += counts[step] ?? 0;
    if (reached > most) return step;
  }
  return LEAST_STEP;
}

/** How unlike each other neighboring rows are, once rows run at this angle. */
function rowContrast(edges: readonly number[], degrees: number, reach: number, bins: Float64Array): number {
  const radians = (degrees * Math.PI) / 180;
  const [sin, cos] = [Math.sin(radians), Math.cos(radians)];
  bins.fill(0);
  for (let at = 0; at < edges.length; at += 2) {
    const place = (edges[at + 1] ?? 0) * cos - (edges[at] ?? 0) * sin + reach;
    const row = Math.floor(place);
    // Shared by the two rows it lies between, or rows along the pixels would stand out by themselves.
    bins[row] = (bins[row] ?? 0) + 1 - (place - row);
    bins[row + 1] = (bins[row + 1] ?? 0) + place - row;
  }
  let sum = 0;
  for (let row = 1; row < bins.length; row++) sum += ((bins[row] ?? 0) - (bins[row - 1] ?? 0)) ** 2;
  return sum;
}

/** The angle with the highest score. */
function steepest(from: number, to: number, step: number, score: (degrees: number) => number): number {
  let best = { degrees: from, reached: -1 };
  for (let degrees = from; degrees <= to; degrees += step) {
    const reached = score(degrees);
    if (reached > best.reached) best = { degrees, reached };
  }
  return best.degrees;
}
