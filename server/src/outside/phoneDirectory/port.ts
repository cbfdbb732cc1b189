import { z } from "zod";

export const directoryEntry = z.object({
  name: z.string(),
  street: z.string(),
  town: z.string(),
  region: z.string(),
  postcode: z.string(),
});
export type DirectoryEntry = z.infer<typeof directoryEntry>;

/** Whose phone it is, as far as a phone directory knows; null when it does not. */
export interface PhoneDirectory {
  whoseIs(phone: string): Promise<DirectoryEntry | null>;
}
