import type { Place } from "@mechanon/core";

/** The place of a visit whose address is not known yet. */
export function nowhere(): Place {
  return { street: "", town: "", region: "", postcode: "", latitude: null, longitude: null };
}

/** Whether nothing of an address is known. */
export function isNowhere({ street, town, region, postcode }: Place): boolean {
  return [street, town, region, postcode].every((part) => part.trim() === "");
}
