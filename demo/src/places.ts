import type { BusinessSettings } from "@mechanon/core";

/** The made-up town by the water, with a point on each street. */
export const STREETS: BusinessSettings["streets"] = [
  { name: "Heron Landing", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0412, longitude: -122.6188 },
  { name: "Oyster Shell Lane", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0335, longitude: -122.6301 },
  { name: "Kelp Street", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0291, longitude: -122.6122 },
  { name: "Ropewalk", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0378, longitude: -122.6049 },
  { name: "Foghorn Hill", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0487, longitude: -122.6395 },
  { name: "Ebb Court", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0216, longitude: -122.6258 },
  { name: "Ferry Slip Road", town: "Larkhaven", region: "WA", postcode: "98099", latitude: 48.0454, longitude: -122.5987 },
  { name: "Madrona Bend", town: "Tidewater Mills", region: "WA", postcode: "98098", latitude: 48.0093, longitude: -122.5871 },
  { name: "Cannery Row East", town: "Tidewater Mills", region: "WA", postcode: "98098", latitude: 48.0038, longitude: -122.5990 },
  { name: "Lamplighter Way", town: "Tidewater Mills", region: "WA", postcode: "98098", latitude: 48.0147, longitude: -122.6034 },
]; // prettier-ignore

/** Postcodes of the demo region, which ship with the app. */
export const POSTCODES = [
  { postcode: "98099", town: "Larkhaven", region: "WA" },
  { postcode: "98098", town: "Tidewater Mills", region: "WA" },
  { postcode: "98098", town: "Millrace", region: "WA" },
  { postcode: "98097", town: "Gannet Point", region: "WA" },
  { postcode: "98096", town: "Saltgrass", region: "WA" },
];

/** Postcodes only the postcode service knows. */
export const FAR_POSTCODES = [
  { postcode: "97099", town: "Dunmore Spit", region: "OR" },
  { postcode: "83899", town: "Pinnacle Flat", region: "ID" },
  { postcode: "V0Z 9Q9", town: "Cormorant Inlet", region: "BC" },
];

/** Whose phones the directory knows: some nobody has called from yet. */
export const DIRECTORY = [
  { phone: "+13605550141", name: "Ottilie Brandt", street: "27 Heron Landing", town: "Larkhaven", region: "WA", postcode: "98099" },
  { phone: "+13605550142", name: "Ruben Castell", street: "4 Kelp Street", town: "Larkhaven", region: "WA", postcode: "98099" },
  { phone: "+13605550177", name: "Saltgrass Veterinary", street: "1 Marsh Road", town: "Saltgrass", region: "WA", postcode: "98096" },
]; // prettier-ignore
