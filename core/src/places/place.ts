import { z } from "zod";

/** Where something is: an address, with its point where one is known. */
export const place = z.object({
  street: z.string(),
  town: z.string(),
  region: z.string(),
  postcode: z.string(),
  latitude: z.number().nullable(),
  longitude: z.number().nullable(),
});
export type Place = z.infer<typeof place>;
