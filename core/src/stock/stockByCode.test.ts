import type { StockItem } from "./stockItem";
import { stockByCode } from "./stockByCode";

const ITEM: StockItem = {
  ...{ id: "s1", personId: "odile", title: "Wiper blade", brand: "Sandpiper", partNumber: "SD-22" },
  ...{ codes: ["0 71234 56789 3"], partKind: "aftermarket", costCents: 800, priceCents: null, count: 4 },
};

it.each([
  ["its barcode, however it is spaced", "071234567893", "s1"],
  ["its part number, however it is written", "sd22", "s1"],
  ["nothing anybody knows", "999", undefined],
  ["nothing at all", " ", undefined],
])("is found by %s", (_name, code, id) => {
  expect(stockByCode([ITEM], code)?.id).toBe(id);
});
