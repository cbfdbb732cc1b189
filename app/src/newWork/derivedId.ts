const PLACES = 0x1000;

/**
 * An id made from another, and never that one: the same part of the same draft has the same one, however often it is sent.
 * @param place - 1 to 4095.
 */
export function derivedId(id: string, place: number): string {
  const last = (parseInt(id.slice(-3), 16) ^ place) % PLACES;
  return `${id.slice(0, -3)}${last.toString(16).padStart(3, "0")}`;
}
