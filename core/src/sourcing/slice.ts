import { z } from "zod";

const instant = z.iso.datetime();

/** Parts ordered from one supplier with one order number. */
export const partsOrder = z.object({
  id: z.string(),
  at: instant,
  by: z.string(),
  /** null: recorded before suppliers had ids. */
  supplierId: z.string().nullable(),
  supplier: z.string(),
  orderNumber: z.string(),
  readyAt: instant.nullable(),
  items: z.array(
    z.object({
      lineId: z.string(),
      partNumber: z.string(),
      quantity: z.number(),
      costCents: z.number().int().nonnegative().nullable(),
    }),
  ),
});
export type PartsOrder = z.infer<typeof partsOrder>;

/** What was bought for the jobs, and what of it is in hand. */
export const sourcingSlice = z.object({
  orders: z.array(partsOrder),
  received: z.array(z.object({ lineId: z.string(), quantity: z.number(), at: instant, by: z.string() })),
});
export type SourcingSlice = z.infer<typeof sourcingSlice>;
