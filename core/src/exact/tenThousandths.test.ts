import fc from "fast-check";
import { tenThousandths } from "./decimal";

it("reads a number the quick way as it would be read from its text", () => {
  fc.assert(
    fc.property(fc.integer({ min: -1e12, max: 1e12 }), fc.integer({ min: 0, max: 5 }), (whole, decimals) => {
      const value = whole / 10 ** decimals;
      const [, fraction = ""] = String(value).split(".");
      const written = BigInt(String(value).replace(".", "") + "0".repeat(Math.max(0, 4 - fraction.length)));
      expect(tenThousandths(value)).toBe(fraction.length <= 4 ? written : null);
    }),
    { numRuns: 2000 },
  );
});

it.each([1e-7, 0.00001, 1.00001, 1e13, NaN, Infinity])("%p is none", (value) => {
  expect(tenThousandths(value)).toBeNull();
});
