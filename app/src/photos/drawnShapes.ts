/** A place on a photo, in pixels of the screen. */
export interface DrawnPoint {
  x: number;
  y: number;
}

/** Shorter than this nobody sees which way it points. */
const SHORTEST_ARROW = 24;
const SMALLEST_RADIUS = 14;

/** An arrow from where the finger came down to where it is; its tip is where it came down: what is shown. */
export function arrowOf(from: DrawnPoint, to: DrawnPoint): [number, number, number, number] {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (length >= SHORTEST_ARROW) return [to.x, to.y, from.x, from.y];
  return [from.x + SHORTEST_ARROW, from.y + SHORTEST_ARROW, from.x, from.y];
}

/** An ellipse around what lies between two places. */
export function circleOf(from: DrawnPoint, to: DrawnPoint): { x: number; y: number; radiusX: number; radiusY: number } {
  return {
    x: (from.x + to.x) / 2,
    y: (from.y + to.y) / 2,
    radiusX: Math.max(SMALLEST_RADIUS, Math.abs(to.x - from.x) / 2),
    radiusY: Math.max(SMALLEST_RADIUS, Math.abs(to.y - from.y) / 2),
  };
}
