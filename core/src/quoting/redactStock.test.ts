import type { StockItem } from "../stock/stockItem";
import { SETTINGS } from "../testing/sampleWorkOrder";
import { redactStock } from "./redactStock";

const ITEM: StockItem = {
  ...{ id: "s1", personId: "odile", title: "Wiper blade", brand: "Sandpiper", partNumber: "SD-22" },
  ...{ codes: ["0 71234 56789 3"], partKind: "aftermarket", costCents: 800, priceCents: null, count: 4 },
};

it("is told at its price to who may not see cost", () => {
  const [told] = redactStock([ITEM, { ...ITEM, id: "s2", priceCents: 1234 }], SETTINGS.rules);
  expect(told).toMatchObject({ costCents: null });
  expect(told?.priceCents).toBeGreaterThan(800);
  expect(redactStock([{ ...ITEM, priceCents: 1234 }], SETTINGS.rules)[0]?.priceCents).toBe(1234);
});
