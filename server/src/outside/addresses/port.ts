import { z } from "zod";

export const address = z.object({
  street: z.string(),
  town: z.string(),
  region: z.string(),
  postcode: z.string(),
  latitude: z.number(),
  longitude: z.number(),
});
export type Address = z.infer<typeof address>;

/** Addresses with their points, by street and number. */
export interface Addresses {
  find(typed: string): Promise<Address[]>;
}
