import fc from "fast-check";
import { someQuote } from "../../testing/someQuote";
import { explainQuote, type Explained } from "./explainQuote";
import { priceQuote } from "./priceQuote";

const THOUSAND = { numRuns: 1000 };
const addsUp = ({ cents, steps }: Explained): void =>
  expect(steps.reduce((sum, step) => sum + step.cents, 0)).toBe(cents);

it("explains every figure of a quote so that its steps add up to it to the cent", () => {
  fc.assert(
    fc.property(someQuote, (input) => {
      const priced = priceQuote(input);
      const { lines, jobs, payers, total } = explainQuote(input);
      for (const { id, net, unitPrice } of priced.lines) {
        const line = lines.get(id);
        expect(line?.cents).toBe(net);
        if (line) addsUp(line);
        if (line?.unitPrice) expect(line.unitPrice.price).toBe(unitPrice);
      }
      for (const { id, total: cents } of priced.jobs) {
        expect(jobs.get(id)?.cents).toBe(cents);
        addsUp(jobs.get(id) ?? { cents: -1, steps: [] });
      }
      for (const { id, total: cents, supplies, taxes } of priced.payers) {
        const payer = payers.get(id);
        expect(payer).toMatchObject({ cents, supplies: { cents: supplies } });
        if (!payer) continue;
        [payer, payer.supplies, ...payer.taxes.values(), ...[...payer.taxes.values()].map(({ base }) => base)].forEach(
          addsUp,
        );
        for (const [tax, taken] of Object.entries(taxes)) expect(payer.taxes.get(tax)?.cents).toBe(taken);
      }
      expect(total.cents).toBe(priced.total);
      addsUp(total);
    }),
    THOUSAND,
  );
});

const RULES = {
  markup: {
    m: {
      bands: [
        { upTo: 500, times: 3 },
        { upTo: 2000, times: 2.4 },
        { upTo: null, times: 1.5 },
      ],
      neverCheaper: true,
      ending: 95,
    },
  },
  taxes: [{ id: "t", percent: 10, on: ["part" as const] }],
  supplies: { percentOfLabor: 5, cap: 300 },
};

it("says the band, what holds the price up, and the ending it was raised to", () => {
  const { lines } = explainQuote({
    rules: RULES,
    payers: [{ id: "p" }],
    jobs: [{ id: "j", payer: "p", lines: [{ id: "l", kind: "part", quantity: 2, cost: 2100, markup: "m" }] }],
    count: "all",
  });
  expect(lines.get("l")).toEqual({
    cents: 9790,
    cost: 4200,
    unitPrice: {
      ...{ cost: 2100, band: { upTo: null, times: 1.5 }, plain: 3150 },
      ...{ floor: { upTo: 2000, times: 2.4, price: 4800 }, ending: 95, price: 4895 },
    },
    steps: [{ rule: "quantity", quantity: 2, each: 4895, cents: 9790 }],
  });
});

it("says what a set price charges beyond, a cap on supplies, and whose discount it was", () => {
  const { lines, jobs, payers } = explainQuote({
    rules: RULES,
    payers: [{ id: "p" }, { id: "x", taxExempt: true }],
    jobs: [
      {
        id: "oil",
        payer: "p",
        setPrice: { price: 8000, included: [{ line: "o", quantity: 5, extraEach: 700 }] },
        lines: [
          { id: "h", kind: "labor", hours: 1, rate: 12000 },
          { id: "o", kind: "part", quantity: 6, cost: 100, price: 0 },
        ],
      },
      { id: "x", payer: "x", lines: [{ id: "xp", kind: "part", quantity: 1, cost: 1, price: 500 }] },
    ],
    discounts: [{ id: "neighbor", on: "labor", percent: 10 }],
    count: "all",
  });
  expect(jobs.get("oil")?.steps).toEqual([
    { rule: "price", cents: 8000 },
    { rule: "extra", lineId: "o", over: 1, each: 700, cents: 700 },
    { rule: "discount", by: { visit: "neighbor" }, discount: { percent: 10 }, of: 8700, cents: -870 },
  ]);
  expect(lines.get("h")?.steps.map(({ cents }) => cents)).toEqual([12000, -3300, -870]);
  expect(payers.get("p")?.supplies.steps).toEqual([
    { rule: "percentOf", percent: 5, of: 7830, cents: 392 },
    { rule: "cap", cap: 300, cents: -92 },
  ]);
  expect(payers.get("x")?.taxes.get("t")).toMatchObject({
    cents: 0,
    steps: [{ rule: "exempt" }],
    base: { cents: 500 },
  });
});
