import type { Signature } from "@mechanon/core";

interface Stroke {
  points: readonly { x: number; y: number }[];
}

/**
 * Pen strokes as thousandths of the field, so that they can be drawn at any size.
 *
 * @param width - of the field in px.
 * @param height - of the field in px.
 */
export function toStrokes(strokes: readonly Stroke[], width: number, height: number): Signature {
  const share = (value: number, side: number): number =>
    Math.min(1000, Math.max(0, Math.round((value / Math.max(1, side)) * 1000)));
  return strokes.map(({ points }) => points.flatMap(({ x, y }) => [share(x, width), share(y, height)]));
}
