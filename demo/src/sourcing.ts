/** The one supplier of the demo region; what it stocks follows from the job library. */
export const SUPPLIER = {
  id: "gull-harbor",
  name: "Gull Harbor Parts",
  phone: "+13605550190",
  /** Parts that are dearer there than the library thinks. */
  costNow: { "BW-H552": 7990 } as Record<string, number>,
  /** Parts it has few of. */
  available: { "HY-7731": 1, "NL-S230": 0 } as Record<string, number>,
  usualStock: 12,
  readyInMinutes: 45,
};
