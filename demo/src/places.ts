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
