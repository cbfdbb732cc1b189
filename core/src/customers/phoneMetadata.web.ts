import type { MetadataJson } from "libphonenumber-js/core";
import { HOME_METADATA } from "./homeMetadata";

let known: MetadataJson = HOME_METADATA;

/** How the home country writes its phones; those of other countries, too, once they are loaded. */
export function phoneMetadata(): MetadataJson {
  return known;
}

const ofAll = async (): Promise<MetadataJson> => (await import("libphonenumber-js/metadata.min.json")).default;

/** Loads what is known of the phones of all countries: a page begins without, and asks for it when it is idle. */
export async function knowAllCountries(load = ofAll): Promise<void> {
  known = await load();
}
