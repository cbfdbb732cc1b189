/** An id made from another: the same part of the same draft has the same one, however often it is sent. @param place - 0 to 4095. */
export function derivedId(id: string, place: number): string {
  return `${id.slice(0, -3)}${place.toString(16).padStart(3, "0")}`;
}
