import { z } from "zod";
import { PART_KINDS } from "./partKind";

const MOST_CENTS = 100_000_000;
const MOST_COUNT = 100_000;
const cents = z.number().int().nonnegative().max(MOST_CENTS);

/** A part kept on a van: how many, what it costs, by which numbers and codes it is known. */
export const stockItem = z.object({
  id: z.string().min(1).max(60),
  /** Whose van it is on. */
  personId: z.string().min(1).max(60),
  title: z.string().trim().min(1, "what it is").max(200),
  brand: z.string().max(60).nullable(),
  partNumber: z.string().max(60).nullable(),
  /** What its barcodes say. */
  codes: z.array(z.string().min(1).max(120)).max(20),
  partKind: z.enum(PART_KINDS),
  /** Null for who may not see it; it has a price then. */
  costCents: cents.nullable(),
  /** A price of its own; null: by the table for its kind. */
  priceCents: cents.nullable(),
  count: z.number().nonnegative().max(MOST_COUNT),
});
export type StockItem = z.infer<typeof stockItem>;
