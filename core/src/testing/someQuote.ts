import fc from "fast-check";
import type { LineInput, PriceInput } from "../quoting/price/input";

/** Cents. */
export const money = fc.nat(200_000);
const quantity = fc.nat(99_999).map((value) => value / 100);
const percent = fc.nat(10_000).map((value) => value / 100);
const discount = fc.oneof(
  percent.map((value) => ({ percent: value })),
  money.map((value) => ({ amount: value })),
);
/** A line without its id. */
export const lineBody = fc.oneof(
  fc.record({ kind: fc.constant("labor" as const), hours: quantity, rate: money, wage: money }),
  fc.record({ kind: fc.constant("part" as const), quantity, cost: money, markup: fc.constant("m") }),
  fc.record({ kind: fc.constant("part" as const), quantity, cost: money, price: money, discount }),
  fc.record({ kind: fc.constant("fee" as const), quantity, price: money }),
  fc.record({ kind: fc.constant("sublet" as const), cost: money, percent }),
  fc.record({ kind: fc.constant("core" as const), quantity, price: money }),
);
const job = fc.record({
  lines: fc.array(lineBody, { maxLength: 6 }),
  payer: fc.constantFrom("a", "b"),
  discount: fc.option(discount),
  setPrice: fc.option(fc.record({ price: money, included: quantity, extraEach: money })),
  answer: fc.constantFrom("approved", "no", null),
});
/** Quotes of all rules: set prices, discounts of every kind, two payers one of whom is exempt. */
export const someQuote: fc.Arbitrary<PriceInput> = fc
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
    jobs: jobs.map(({ setPrice, ...each }, jobIndex) => {
      const lines = each.lines.map((line, index) => ({ ...line, id: `l${jobIndex}-${index}` }));
      const counted = lines.filter(({ kind }) => kind === "part" || kind === "fee");
      return {
        ...each,
        id: `j${jobIndex}`,
        setPrice: setPrice && {
          price: setPrice.price,
          included: counted.slice(0, 1).map(({ id: line }) => ({
            ...{ line, quantity: setPrice.included, extraEach: setPrice.extraEach },
          })),
        },
        // A line of a set price has no discount of its own.
        lines: setPrice ? lines.map(withoutDiscount) : lines,
      };
    }),
    discounts: visit.map(([on, value], index) => ({ id: `d${index}`, on, ...value })),
    count: "approved",
  }));

function withoutDiscount(line: LineInput): LineInput {
  if (line.kind === "core") return line;
  const { discount: _own, ...rest } = line;
  return rest;
}
