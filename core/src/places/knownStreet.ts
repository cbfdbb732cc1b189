import { z } from "zod";

/** A street of the business's area with a point on it, so that an address typed by its street has a place on the road. */
export const knownStreet = z.object({
  name: z.string(),
  town: z.string(),
  region: z.string(),
  postcode: z.string(),
  latitude: z.number(),
  longitude: z.number(),
});
