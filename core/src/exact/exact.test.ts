import fc from "fast-check";
import { roundPercent, roundRatio, roundedDecimal, tenThousandths } from "./decimal";
import { spread } from "./spread";

const cents = fc.bigInt({ min: 0n, max: 10n ** 12n });

describe("ten-thousandths", () => {
  it.each([
    [1.3, 13000n],
    [0.1 + 0.2, null],
    [0, 0n],
    [-2.5, -25000n],
    [1e-7, null],
    [1.00005, null],
    [NaN, null],
    [1e13, null],
  ])("%p is %p", (value, expected) => {
    expect(tenThousandths(value)).toBe(expected);
  });
});

describe("rounding", () => {
  it.each([
    [5n, 2n, 3n],
    [-5n, 2n, -3n],
    [4n, 3n, 1n],
    [-4n, 3n, -1n],
    [0n, 7n, 0n],
  ])("%p / %p is %p, halves away from zero", (numerator, denominator, expected) => {
    expect(roundRatio(numerator, denominator)).toBe(expected);
  });
  it("gives decimals of a fixed count", () => {
    expect(roundedDecimal(31962n * 100n, 57953n, 1)).toBe(55.2);
    expect(roundedDecimal(-105n, 100n, 1)).toBe(-1.1);
  });
  it("never takes more than all", () => {
    fc.assert(
      fc.property(cents, fc.bigInt({ min: 0n, max: 1_000_000n }), (amount, percent) =>
        expect(roundPercent(amount, percent)).toBeLessThanOrEqual(amount),
      ),
    );
  });
});

describe("spread", () => {
  it("loses and makes nothing", () => {
    fc.assert(
      fc.property(cents, fc.array(cents, { minLength: 1 }), (total, weights) =>
        expect(spread(total, weights).reduce((sum, share) => sum + share, 0n)).toBe(total),
      ),
    );
  });
  it("stays within one cent of the exact share, and gives nothing for no weight", () => {
    fc.assert(
      fc.property(cents, fc.array(cents, { minLength: 1 }), (total, weights) => {
        const sum = weights.reduce((all, weight) => all + weight, 0n);
        fc.pre(sum > 0n);
        spread(total, weights).forEach((share, index) => {
          const floor = (total * (weights[index] ?? 0n)) / sum;
          expect(share === floor || share === floor + 1n).toBe(true);
          if (weights[index] === 0n) expect(share).toBe(0n);
        });
      }),
    );
  });
  it("breaks ties to the earlier, and gives all to the first where nothing weighs", () => {
    expect(spread(100n, [1n, 1n, 1n])).toEqual([34n, 33n, 33n]);
    expect(spread(7n, [0n, 0n])).toEqual([7n, 0n]);
    expect(spread(7n, [])).toEqual([]);
  });
});
