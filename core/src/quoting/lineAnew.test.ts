import { lineAnew } from "./lineAnew";
import type { QuoteLine } from "./quoteLine";

const PART: QuoteLine = {
  ...{ id: "p", kind: "part", description: "Seal", quantity: 1, costCents: 500, markup: "standard", priceCents: null },
  ...{ partNumber: null, brand: null },
};

it.each<[string, Extract<QuoteLine, { kind: "part" }>["from"], boolean]>([
  ["the van", { of: "van", itemId: "s" }, false],
  ["a supplier's offer", { of: "offer", supplierId: "g", at: "2026-11-27T17:00:00.000Z" }, false],
  ["a barcode", { of: "barcode", code: "1" }, true],
  ["before", { of: "before", day: null }, true],
])("a part from %s, on another quote", (_name, from, isKept) => {
  const anew = lineAnew({ ...PART, from }, "n");
  expect("from" in anew).toBe(isKept);
  expect(anew).toMatchObject({ id: "n", costCents: 500 });
});

it("work bought in whose cost is not seen goes at its price", () => {
  const sublet: QuoteLine = {
    id: "s",
    kind: "sublet",
    description: "Alignment",
    costCents: null,
    percent: 0,
    priceCents: 9000,
  };
  expect(lineAnew(sublet, "n")).toEqual({
    id: "n",
    kind: "fee",
    description: "Alignment",
    quantity: 1,
    priceCents: 9000,
  });
});
