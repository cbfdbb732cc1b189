import fc from "fast-check";
import type { MarkupInput } from "./input";
import { unitPriceFromCost } from "./unitPrice";

const TABLE: MarkupInput = {
  bands: [
    { upTo: 500, times: 3 },
    { upTo: 2000, times: 2.4 },
    { upTo: 6000, times: 2 },
    { upTo: null, times: 1.6 },
  ],
};
const price = (cost: number, over: Partial<MarkupInput> = {}): number =>
  Number(unitPriceFromCost(BigInt(cost), { ...TABLE, ...over }));

describe("bands", () => {
  it.each([
    ["nothing", 0, 0],
    ["inside the first", 410, 1230],
    ["at its end", 500, 1500],
    ["just beyond", 501, 1202],
    ["the second's end", 2000, 4800],
    ["just beyond that", 2001, 4002],
    ["without a limit", 9800, 15680],
    ["half a cent goes up", 5, 15],
  ])("%s", (_name, cost, expected) => {
    expect(price(cost)).toBe(expected);
  });
});

describe("never cheaper", () => {
  it.each([
    [501, 1500],
    [625, 1500],
    [626, 1502],
    [2001, 4800],
    [2401, 4802],
    [6001, 12000],
    [7501, 12002],
  ])("cost %p sells at %p", (cost, expected) => {
    expect(price(cost, { neverCheaper: true })).toBe(expected);
  });
  it("holds over all costs", () => {
    fc.assert(
      fc.property(fc.nat(20_000), fc.nat(20_000), (a, b) => {
        const [low, high] = a < b ? [a, b] : [b, a];
        expect(price(high, { neverCheaper: true })).toBeGreaterThanOrEqual(price(low, { neverCheaper: true }));
      }),
    );
  });
});

describe("endings", () => {
  it.each([
    [410, 99, 1299],
    [410, 30, 1230],
    [410, 29, 1329],
    [0, 0, 0],
    [0, 95, 95],
    [9800, 0, 15700],
  ])("cost %p ending %p sells at %p", (cost, ending, expected) => {
    expect(price(cost, { ending })).toBe(expected);
  });
  it("raise a price by less than a hundred, to just those digits", () => {
    fc.assert(
      fc.property(fc.nat(50_000), fc.nat(99), (cost, ending) => {
        const [plain, ended] = [price(cost), price(cost, { ending })];
        expect(ended % 100).toBe(ending);
        expect(ended).toBeGreaterThanOrEqual(plain);
        expect(ended - plain).toBeLessThan(100);
      }),
    );
  });
});

it("is a fault of the program to give a table without an end", () => {
  expect(() => unitPriceFromCost(10n, { bands: [{ upTo: 5, times: 1 }] })).toThrow(RangeError);
});
