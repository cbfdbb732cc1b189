import fc from "fast-check";
import { unitPriceFromCost } from "./price/unitPrice";
import { markupDips, markupFault } from "./markupFault";

const BANDS = [
  { upTo: 500, times: 3 },
  { upTo: 2000, times: 2.4 },
  { upTo: null, times: 2.4 },
];
const table = (over: Partial<Parameters<typeof markupFault>[0]> = {}): Parameters<typeof markupFault>[0] => ({
  ...{ bands: BANDS, neverCheaper: false, ending: null, mayDip: false },
  ...over,
});

it.each([
  ["a dip nobody agreed to", {}, "a part at $5.01 would sell for $12.02, less than one at $5.00 for $15.00"],
  ["a dip that is held up", { neverCheaper: true }, null],
  ["a dip the owner agreed to", { mayDip: true }, null],
  ["a gap at the top", { bands: [{ upTo: 500, times: 3 }], mayDip: true }, "nothing stands for a cost above $5.00"],
  [
    "an overlap",
    {
      bands: [
        { upTo: 500, times: 3 },
        { upTo: 500, times: 2 },
        { upTo: null, times: 1 },
      ],
    },
    "the bands overlap at $5.00",
  ],
  [
    "a band that stands for nothing",
    {
      bands: [
        { upTo: null, times: 3 },
        { upTo: null, times: 2 },
      ],
    },
    "a band above one without a limit stands for nothing",
  ],
  ["no band", { bands: [] }, "it has no band"],
  [
    "what rises",
    {
      bands: [
        { upTo: 500, times: 2 },
        { upTo: null, times: 2 },
      ],
    },
    null,
  ],
])("of a table with %s it says", (_name, over, fault) => {
  expect(markupFault(table(over))).toBe(fault);
});

it("finds a dip exactly where a dearer part sells for less", () => {
  const band = fc.record({
    upTo: fc.integer({ min: 1, max: 3000 }),
    times: fc.integer({ min: 100, max: 400 }).map((x) => x / 100),
  });
  fc.assert(
    fc.property(fc.uniqueArray(band, { selector: ({ upTo }) => upTo, maxLength: 4 }), fc.nat(3000), (some, cost) => {
      const bands = [...some].sort((a, b) => a.upTo - b.upTo);
      const all = { bands: [...bands, { upTo: null, times: 1.5 }] };
      const price = (of: number): bigint => unitPriceFromCost(BigInt(of), all);
      const isDip = price(cost + 1) < price(cost);
      expect(markupDips(all).some((dip) => dip.cost === cost)).toBe(isDip);
    }),
  );
});
