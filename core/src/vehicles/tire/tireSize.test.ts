import fc from "fast-check";
import { CalcError } from "../../calc/error";
import { loadKg, speedKmh } from "./ratings";
import { readTireSize } from "./tireSize";

describe("ratings", () => {
  it.each([
    [0, 45],
    [60, 250],
    [70, 335],
    [82, 475],
    [91, 615],
    [94, 670],
    [100, 800],
    [109, 1030],
    [112, 1120],
    [121, 1450],
    [130, 1900],
    [150, 3350],
    [170, 6000],
    [171, null],
  ])("load index %p carries %p kg", (index, kg) => {
    expect(loadKg(index)).toBe(kg);
  });
  it.each([
    ["A8", 40],
    ["B", 50],
    ["J", 100],
    ["L", 120],
    ["Q", 160],
    ["R", 170],
    ["S", 180],
    ["T", 190],
    ["H", 210],
    ["V", 240],
    ["W", 270],
    ["Y", 300],
    ["Z", null],
    ["I", null],
  ])("speed symbol %p is %p km/h", (symbol, kmh) => {
    expect(speedKmh(symbol)).toBe(kmh);
  });
  it("never carry less at a higher index", () => {
    fc.assert(fc.property(fc.nat(169), (index) => expect(loadKg(index + 1) ?? 0).toBeGreaterThan(loadKg(index) ?? 0)));
  });
});

describe("sizes", () => {
  it.each([
    ["205/55R16", 631.9, 112.8],
    ["205/55 R 16 91V", 631.9, 112.8],
    ["p225/60r16", 676.4, 135],
    ["LT265/70R17", 802.8, 185.5],
    ["255/40ZR19 (96Y)", 686.6, 102],
    ["185/65D15", 621.5, 120.3],
    ["33X12.50R15LT 108Q", 838.2, 228.6],
    ["35×12.5 R 20", 889, 190.5],
  ])("%p is %p mm across, %p mm of sidewall", (size, diameterMm, sidewallMm) => {
    expect(readTireSize({ size })).toMatchObject({ diameterMm, sidewallMm });
  });

  it.each([
    ["nothing", ""],
    ["words", "all season"],
    ["a width of two digits", "55/55R16"],
    ["no rim", "205/55R"],
    ["no aspect", "205/R16"],
    ["a rim as large as the tire", "15x10.50R15"],
    ["an index of one digit", "205/55R16 9V"],
    ["a symbol that is none", "205/55R16 91I"],
    ["something behind it", "205/55R16 91V extra"],
    ["a width of nothing", "000/55R16"],
  ])("refuses %s", (_name, size) => {
    expect(() => readTireSize({ size })).toThrow(CalcError);
  });

  it("agree with their own arithmetic, however they are written", () => {
    const metric = fc.record({
      width: fc.integer({ min: 125, max: 355 }),
      aspect: fc.integer({ min: 25, max: 95 }),
      rim: fc.integer({ min: 10, max: 30 }),
      half: fc.boolean(),
      before: fc.constantFrom("", "P", "LT", "lt "),
      kind: fc.constantFrom("R", "ZR", " r ", "zr"),
    });
    fc.assert(
      fc.property(metric, ({ width, aspect, rim, half, before, kind }) => {
        const rimInch = half ? rim + 0.5 : rim;
        const read = readTireSize({ size: `${before}${width}/${aspect}${kind}${rimInch}` });
        const diameter = rimInch * 25.4 + (2 * width * aspect) / 100;
        expect(read).toMatchObject({ widthMm: width, aspect, rimInch, loadKg: null, speedKmh: null });
        expect(Math.abs(read.diameterMm - diameter)).toBeLessThan(0.0501);
        expect(Math.abs(read.revsPerKm - 1_000_000 / (Math.PI * diameter))).toBeLessThan(0.0501);
      }),
    );
  });
});
