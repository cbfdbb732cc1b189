import { z } from "zod";

export const town = z.object({ town: z.string(), region: z.string() });
export type Town = z.infer<typeof town>;

/** Towns of postcodes beyond the shipped table. */
export interface Postcodes {
  townsOf(postcode: string): Promise<Town[]>;
}
