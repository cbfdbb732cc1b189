import { z } from "zod";

/** What a supplier asks for one part, and how many it has. */
export const supplierOffer = z.object({
  partNumber: z.string(),
  costCents: z.number().int(),
  available: z.number(),
  readyAt: z.iso.datetime(),
});
export type SupplierOffer = z.infer<typeof supplierOffer>;

export interface OrderedItem {
  partNumber: string;
  quantity: number;
  costCents: number;
}
/** What became of an order. */
export type OrderAnswer =
  | { outcome: "confirmed"; orderNumber: string; readyAt: string }
  | { outcome: "refused"; reason: "outOfStock" | "priceChanged"; partNumber: string }
  /** The supplier never had it, and takes it no more. */
  | { outcome: "withdrawn" };

/** Part suppliers by id. Each call throws an OutsideError when the supplier fails. */
export interface Suppliers {
  offers(supplierId: string, partNumbers: string[]): Promise<SupplierOffer[]>;
  /** @param key - the same key is ordered once. */
  order(supplierId: string, key: string, items: OrderedItem[]): Promise<OrderAnswer>;
  /** What became of an order whose answer was lost; one the supplier never had is withdrawn by this. */
  settle(supplierId: string, key: string): Promise<OrderAnswer>;
}
