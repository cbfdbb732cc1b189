import { PART_KINDS, readMoney, type BusinessSettings, type StockItem } from "@mechanon/core";
import { z } from "zod";
import { readAmount } from "../quote/readAmount";
import { begunFrom } from "./begunFrom";

/** What is on the vans, as it is typed. */
export const typedStock = z.object({
  base: begunFrom,
  items: z.array(
    z.object({
      id: z.string(),
      personId: z.string(),
      title: z.string(),
      brand: z.string(),
      partNumber: z.string(),
      codes: z.string(),
      partKind: z.enum(PART_KINDS),
      cost: z.string(),
      price: z.string(),
      count: z.string(),
    }),
  ),
});
export type TypedStock = z.input<typeof typedStock>;
export type TypedItem = TypedStock["items"][number];

const AMOUNT = "an amount looks like 84.50";

/** What was typed of the vans, read. */
export const readStock = typedStock.extend({
  items: z.array(
    typedStock.shape.items.element
      .extend({ title: z.string().trim().min(1, "what it is").max(200, "up to 200 letters") })
      .superRefine(({ cost, price, count }, context) => {
        const fault = (path: string, message: string): void =>
          context.addIssue({ code: "custom", path: [path], message });
        if (readMoney(cost) === null) fault("cost", AMOUNT);
        if (price.trim() !== "" && readMoney(price) === null) fault("price", `${AMOUNT}; empty: by the table`);
        if (readAmount(count) === null) fault("count", "a number like 4 or 2.5");
      }),
  ),
});

const money = (cents: number): string => (cents / 100).toFixed(2);
const orNull = (typed: string): string | null => (typed.trim() === "" ? null : typed.trim());

/** What is on the vans, as it would be typed. */
export function typedStockOf(base: BusinessSettings): TypedStock {
  return { base, items: base.stock.map(typedItemOf) };
}

export function typedItemOf({ brand, partNumber, codes, costCents, priceCents, count, ...item }: StockItem): TypedItem {
  return {
    ...item,
    ...{ brand: brand ?? "", partNumber: partNumber ?? "", codes: codes.join(", "), count: String(count) },
    cost: money(costCents ?? 0),
    price: priceCents === null ? "" : money(priceCents),
  };
}

/** What was read, as it is stored. */
export function stockOf({ items }: z.output<typeof readStock>): StockItem[] {
  return items.map(({ brand, partNumber, codes, cost, price, count, ...item }) => ({
    ...item,
    ...{ brand: orNull(brand), partNumber: orNull(partNumber) },
    codes: codes.split(",").flatMap((code) => (code.trim() === "" ? [] : [code.trim()])),
    costCents: readMoney(cost) ?? 0,
    priceCents: orNull(price) === null ? null : readMoney(price),
    count: readAmount(count) ?? 0,
  }));
}
