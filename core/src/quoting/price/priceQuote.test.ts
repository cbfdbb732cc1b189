import fc from "fast-check";
import type { LineInput, PriceInput } from "./input";
import { priceQuote } from "./priceQuote";

const money = fc.nat(200_000);
const quantity = fc.nat(99_999).map((value) => value / 100);
const percent = fc.nat(10_000).map((value) => value / 100);
const discount = fc.oneof(
  percent.map((value) => ({ percent: value })),
  money.map((value) => ({ amount: value })),
);
const body = fc.oneof(
  fc.record({ kind: fc.constant("labor" as const), hours: quantity, rate: money, wage: money }),
  fc.record({ kind: fc.constant("part" as const), quantity, cost: money, markup: fc.constant("m") }),
  fc.record({ kind: fc.constant("part" as const), quantity, cost: money, price: money, discount }),
  fc.record({ kind: fc.constant("fee" as const), quantity, price: money }),
  fc.record({ kind: fc.constant("sublet" as const), cost: money, percent }),
  fc.record({ kind: fc.constant("core" as const), quantity, price: money }),
);
const job = fc.record({
  lines: fc.array(body, { maxLength: 6 }),
  payer: fc.constantFrom("a", "b"),
  discount: fc.option(discount),
  answer: fc.constantFrom("approved", "no", null),
});
const quote: fc.Arbitrary<PriceInput> = fc
  .record({
    jobs: fc.array(job, { maxLength: 4 }),
    visit: fc.array(fc.tuple(fc.constantFrom("labor" as const, "part" as const, "all" as const), discount), {
      maxLength: 3,
    }),
    cap: fc.option(money),
  })
  .map(({ jobs, visit, cap }) => ({
    rules: {
      markup: {
        m: {
          bands: [
            { upTo: 500, times: 3 },
            { upTo: 5000, times: 2 },
            { upTo: null, times: 1.4 },
          ],
          neverCheaper: true,
          ending: 95,
        },
      },
      taxes: [
        { id: "t", percent: 8.125, on: ["part", "fee", "core"] },
        { id: "u", percent: 1.5, on: ["labor", "sublet"] },
      ],
      supplies: { percentOfLabor: 5, cap },
    },
    payers: [{ id: "a" }, { id: "b", taxExempt: true }],
    jobs: jobs.map((each, jobIndex) => ({
      ...each,
      id: `j${jobIndex}`,
      lines: each.lines.map((line, index) => ({ ...line, id: `l${jobIndex}-${index}` })),
    })),
    discounts: visit.map(([on, value], index) => ({ id: `d${index}`, on, ...value })),
    count: "approved",
  }));

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
      // Without spread discounts no cent has to choose between lines.
      const plain = { ...input, discounts: [], jobs: input.jobs.map((each) => ({ ...each, discount: null })) };
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
