import type { Place } from "@mechanon/core";

/** The place of a visit whose address is not known yet. */
export function nowhere(): Place {
  return { street: "", town: "", region: "", postcode: "", latitude: null, longitude: null };
}
