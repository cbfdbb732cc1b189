import { orderCostCents } from "./orderCost";

it.each([
  [[], 0],
  [
    [
      { quantity: 2, costCents: 4180 },
      { quantity: 0.5, costCents: 333 },
    ],
    8527,
  ],
  // 1.005 x 100 is 100.49999... in binary; exactly it is half a cent and goes up.
  [[{ quantity: 1.005, costCents: 100 }], 101],
  [
    [
      { quantity: 1, costCents: null },
      { quantity: 1, costCents: 5 },
    ],
    null,
  ],
])("%p costs %p", (items, cents) => {
  expect(orderCostCents(items)).toBe(cents);
});
