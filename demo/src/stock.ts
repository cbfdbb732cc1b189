import type { StockItem } from "@mechanon/core";

/** What is on a van in the demo; `personId` is a login, made the id of the person as it is loaded. */
function onVan(personId: string, title: string, brand: string, partNumber: string, partKind: StockItem["partKind"], costCents: number, count: number, codes: string[] = []): StockItem {
  return { id: `${personId}-${partNumber}`, personId, title, brand, partNumber, codes, partKind, costCents, priceCents: null, count };
} // prettier-ignore

/** What the vans of the demo carry. */
export const STOCK: StockItem[] = [
  onVan("odile", "Oil 0W-20, quart", "Kelpline", "KL-020Q", "fluid", 470, 14, ["0760155501012"]),
  onVan("odile", "Oil filter", "Kelpline", "KL-F12", "filter", 540, 5, ["0760155500121"]),
  onVan("odile", "Battery, group 48", "Northlight", "NL-48H6", "battery", 10980, 1, ["0760155504808"]),
  onVan("odile", "Wiper blade", "Spindrift", "SD-22", "aftermarket", 790, 6, ["0760155502206"]),
  onVan("odile", "Coolant, gallon", "Kelpline", "KL-C1G", "fluid", 1240, 4, ["0760155501104"]),
  onVan("tomas", "Brake cleaner", "Kelpline", "KL-BC", "aftermarket", 390, 9),
  onVan("tomas", "Tire valve", "Saltroad", "SR-V1", "aftermarket", 170, 24),
];
