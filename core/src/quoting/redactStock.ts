import { unitPriceFromCost } from "./price/unitPrice";
import type { MoneyRules } from "./moneyRules";
import { standingTable } from "./standingTable";
import type { StockItem } from "../stock/stockItem";

/** Van stock for who may not see cost: at the price each sells for. */
export function redactStock(stock: readonly StockItem[], rules: MoneyRules): StockItem[] {
  return stock.map((item) => ({ ...item, costCents: null, priceCents: stockPriceCents(item, rules) }));
}

/** What a part of the van sells for, in cents: its own price, else by the table that stands for its kind. */
export function stockPriceCents({ costCents, priceCents, partKind }: StockItem, rules: MoneyRules): number {
  const id = standingTable(rules, { partKind });
  const table = id === null ? undefined : rules.pricing.markup?.[id];
  if (priceCents !== null || costCents === null || !table) return priceCents ?? costCents ?? 0;
  return Number(unitPriceFromCost(BigInt(costCents), table));
}
