import type { Place } from "@mechanon/core";

const DECIMALS = 4;

/** Where a visit is, on one line: street and town, or the point a pin was put at. */
export function placeLine({ street, town, latitude, longitude }: Place): string {
  const words = [street, town].filter(Boolean).join(", ");
  if (words !== "") return words;
  if (latitude === null || longitude === null) return "No address yet";
  return `At the pin, ${latitude.toFixed(DECIMALS)}, ${longitude.toFixed(DECIMALS)}`;
}
