import { z } from "zod";
import { text } from "../text/text";

/** Where something is: an address, with its point where one is known. */
export const place = z.object({
  street: z.string(),
  town: z.string(),
  region: z.string(),
  postcode: z.string(),
  latitude: z.number().nullable(),
  longitude: z.number().nullable(),
});
/** A place as it comes in, by hand or from a device. */
export const typedPlace = z.strictObject({
  street: text(200),
  town: text(100),
  region: text(40),
  postcode: text(20),
  latitude: z.number().min(-90).max(90).nullable(),
  longitude: z.number().min(-180).max(180).nullable(),
});
export type Place = z.infer<typeof place>;
