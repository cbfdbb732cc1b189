import fc from "fast-check";
import { lineBody as body, money, someQuote as quote } from "../../testing/someQuote";
import type { LineInput } from "./input";
import { priceQuote } from "./priceQuote";

const sum = (numbers: number[]): number => numbers.reduce((all, number) => all + number, 0);

it("adds up: net = gross + set price - discount, jobs and payers = their lines, total = the payers", () => {
  fc.assert(
    fc.property(quote, (input) => {
      const priced = priceQuote(input);
      for (const line of priced.lines) {
        expect(line.net).toBe(line.gross + line.setPrice - line.discount);
        expect(line.net).toBeGreaterThanOrEqual(0);
      }
      expect(sum(priced.jobs.map(({ total }) => total))).toBe(sum(priced.lines.map(({ net }) => net)));
      for (const payer of priced.payers)
        expect(payer.total).toBe(
          payer.labor +
            payer.part +
            payer.fee +
            payer.sublet +
            payer.core +
            payer.supplies +
            sum(Object.values(payer.taxes)),
        );
      expect(sum(priced.payers.map(({ labor, part, fee, sublet, core }) => labor + part + fee + sublet + core))).toBe(
        sum(priced.lines.map(({ net }) => net)),
      );
      expect(priced.total).toBe(sum(priced.payers.map(({ total }) => total)));
      expect(sum(priced.payers.map((payer) => payer.discount))).toBe(sum(priced.lines.map((line) => line.discount)));
      expect(priced.profit.gross).toBe(priced.profit.revenue - priced.profit.cost);
    }),
    { numRuns: 300 },
  );
});

it("does not depend on the order of jobs and lines where no cent is left to a tie", () => {
  fc.assert(
    fc.property(quote, (input) => {
      // Without what is spread no cent has to choose between lines.
      const plain = {
        ...input,
        discounts: [],
        jobs: input.jobs.map((each) => ({ ...each, discount: null, setPrice: null })),
      };
      const turned = {
        ...plain,
        jobs: [...plain.jobs].reverse().map((each) => ({ ...each, lines: [...each.lines].reverse() })),
      };
      expect(priceQuote(turned).payers).toEqual(priceQuote(plain).payers);
    }),
  );
});

it("never sells a dearer part cheaper where the table says so", () => {
  const price = (cost: number): number =>
    priceQuote({
      rules: {
        markup: {
          m: {
            bands: [
              { upTo: 500, times: 3 },
              { upTo: 5000, times: 2 },
              { upTo: null, times: 1.4 },
            ],
            neverCheaper: true,
          },
        },
      },
      payers: [{ id: "p" }],
      jobs: [{ id: "j", payer: "p", lines: [{ id: "l", kind: "part", quantity: 1, cost, markup: "m" }] }],
      count: "all",
    }).lines[0]?.unitPrice ?? 0;
  fc.assert(
    fc.property(fc.nat(20_000), fc.nat(20_000), (a, b) =>
      expect(price(Math.max(a, b))).toBeGreaterThanOrEqual(price(Math.min(a, b))),
    ),
  );
});

it("holds a set price whatever the lines cost, and charges what goes beyond", () => {
  fc.assert(
    fc.property(fc.array(body, { minLength: 1, maxLength: 5 }), money, (lines, price) => {
      const own = lines.map(
        (line, index) => ({ ...line, id: String(index), discount: undefined }) as unknown as LineInput,
      );
      const priced = priceQuote({
        rules: { markup: { m: { bands: [{ times: 2 }] } } },
        payers: [{ id: "p" }],
        jobs: [
          {
            id: "j",
            payer: "p",
            setPrice: { price },
            lines: own.map((line) => JSON.parse(JSON.stringify(line)) as LineInput),
          },
        ],
        count: "all",
      });
      const cores = sum(priced.lines.filter((_, index) => own[index]?.kind === "core").map(({ net }) => net));
      const hasOther = own.some(({ kind }) => kind !== "core");
      expect((priced.jobs[0]?.total ?? 0) - cores).toBe(hasOther ? price : 0);
    }),
  );
});
