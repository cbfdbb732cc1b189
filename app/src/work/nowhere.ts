import type { Place } from "@mechanon/core";

/** The place of a visit whose address is not known yet. */
export function nowhere(): Place {
  return { street: "", town: "", region: "", postcode: "", latitude: null, longitude: null };
}

/** Whether nothing of an address is known, not even its point. */
export function isNowhere({ street, town, region, postcode, latitude }: Place): boolean {
  return latitude === null && [street, town, region, postcode].every((part) => part.trim() === "");
}
