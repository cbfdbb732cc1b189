import type { MetadataJson } from "libphonenumber-js/core";
import metadata from "libphonenumber-js/metadata.min.json";

/** How the countries of the world write their phones. */
export function phoneMetadata(): MetadataJson {
  return metadata;
}

/** Everywhere but on a page all countries are known from the beginning. */
export function knowAllCountries(): Promise<void> {
  return Promise.resolve();
}
