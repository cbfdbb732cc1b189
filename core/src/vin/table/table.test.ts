import fc from "fast-check";
import { ByteReader, ByteWriter } from "./bytes";
import { encodeVinTable } from "./encode";
import { compileKey, keyMatches, vinBits } from "./keyMatcher";
import { readVinTable } from "./read";

const VIN = "1TZAB2AA0JA012345";

describe("keys", () => {
  it.each([
    ["AB", true],
    ["A[A-C]2", true],
    ["**3", false],
    ["AB2AA|JA", true],
    ["*****|*B", false],
    ["", true],
  ])("%p against the sample: %p", (key, expected) => {
    expect(keyMatches(compileKey(key), vinBits(VIN))).toBe(expected);
  });
  it("counts what a key says", () => {
    expect(compileKey("AB").specificity).toBeGreaterThan(compileKey("A[BC]").specificity);
    expect(compileKey("A[BC]").specificity).toBeGreaterThan(compileKey("A*").specificity);
  });
});

it("gives back every number it wrote", () => {
  fc.assert(
    fc.property(fc.array(fc.nat(0x7fffffff)), (numbers) => {
      const writer = new ByteWriter();
      numbers.forEach((number) => writer.varint(number));
      const reader = new ByteReader(writer.toBytes());
      expect(numbers.map(() => reader.varint())).toEqual(numbers);
    }),
  );
});

it("keeps equal rows once, whatever the number of schemas", () => {
  const rows = Array.from({ length: 50 }, (_, index) => ({
    key: `A${index % 10}`,
    facts: { model: `Tern\tModel ${index % 7}` },
  }));
  const source = (copies: number): Parameters<typeof encodeVinTable>[0] => ({
    makers: [],
    engines: [],
    schemas: Array.from({ length: copies }, () => rows),
  });
  expect(encodeVinTable(source(40)).length).toBeLessThan(encodeVinTable(source(1)).length + 10);
});

it.each([
  ["something else", new TextEncoder().encode("\u0005hello")],
  [
    "a file cut short",
    encodeVinTable({ makers: [], schemas: [[{ key: "A", facts: { model: "Tern\tX" } }]], engines: [] }).slice(0, 20),
  ],
])("refuses %s", (_name, bytes) => {
  expect(() => readVinTable(bytes)).toThrow(RangeError);
});
