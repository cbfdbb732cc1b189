import type { MoneyRules } from "./moneyRules";
import type { PartKind } from "../stock/partKind";

/** What the one table of before there were several is called. */
const USUAL_TABLE = "standard";

/**
 * The markup table that stands by itself for a part: the first that fits its kind and supplier; where nothing was set, or
 * none fits, the first there is.
 *
 * @returns its id; null: there is no table.
 */
export function standingTable(
  { markupTables = [], pricing }: Pick<MoneyRules, "markupTables" | "pricing">,
  { partKind = "aftermarket", supplierId = null }: { partKind?: PartKind | undefined; supplierId?: string | null },
): string | null {
  const known = Object.keys(pricing.markup ?? {});
  const fitting = markupTables.find(
    ({ id, kinds, supplierIds }) =>
      known.includes(id) &&
      (kinds.length === 0 || kinds.includes(partKind)) &&
      (supplierIds.length === 0 || (supplierId !== null && supplierIds.includes(supplierId))),
  );
  return fitting?.id ?? (known.includes(USUAL_TABLE) ? USUAL_TABLE : (known[0] ?? null));
}

/** What a table is called. */
export function tableTitle({ markupTables = [] }: Pick<MoneyRules, "markupTables">, id: string): string {
  return markupTables.find((table) => table.id === id)?.title ?? id;
}
