/** Of the drawing what is shown: its box, in its own units. */
const SHOWN = { left: 0, top: 230, width: 1000, height: 540 };

/**
 * Where on the drawing a touch was, in its own units.
 *
 * @param box - the element the drawing fills.
 * @returns null where nothing tells, as by the keyboard.
 */
export function placeOnDrawing(
  box: unknown,
  event: { pageX?: number; pageY?: number },
): { x: number; y: number } | null {
  if (typeof HTMLElement === "undefined" || !(box instanceof HTMLElement)) return null;
  const { left, top, width, height } = box.getBoundingClientRect();
  const { pageX, pageY } = event;
  if (pageX === undefined || pageY === undefined || width === 0 || height === 0) return null;
  const share = { x: (pageX - window.scrollX - left) / width, y: (pageY - window.scrollY - top) / height };
  if (share.x < 0 || share.x > 1 || share.y < 0 || share.y > 1) return null;
  return {
    x: Math.round(SHOWN.left + share.x * SHOWN.width),
    y: Math.round(SHOWN.top + share.y * SHOWN.height),
  };
}
