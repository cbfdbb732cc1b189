import type { Place } from "./place";

/**
 * An address on one line, without empty parts.
 * @example
 * showPlace({ street: "18 Heron Landing", town: "Larkhaven", region: "WA", postcode: "98099" })
 *   //=> "18 Heron Landing, Larkhaven, WA 98099"
 */
export function showPlace({
  street,
  town,
  region,
  postcode,
}: Pick<Place, "street" | "town" | "region" | "postcode">): string {
  return [street, town, [region, postcode].filter(Boolean).join(" ")].filter(Boolean).join(", ");
}
