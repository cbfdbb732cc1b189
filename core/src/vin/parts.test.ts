import { sampleVinTable } from "../testing/sampleVinTable";
import { expectedCheckDigit } from "./checkDigit";
import { cleanVin } from "./cleanVin";
import { driveFromNames, transmissionFromNames } from "./drivetrain";
import { describeEngine } from "./engine";
import { cycleIsSettled, modelYearCandidates } from "./modelYear";
import { suggestVins } from "./suggestions";

describe("cleaning", () => {
  it.each([
    ["spaces", " 1HG CV1 F34 ", "1HGCV1F34"],
    ["dashes of any kind", "1HG-CV1–F3—4", "1HGCV1F34"],
    ["lower case", "1hgcv1f34", "1HGCV1F34"],
    ["what cannot be seen", "1HG\u200bCV1\ufeff", "1HGCV1"],
    ["other characters stay, to be told", "1HG*CV1", "1HG*CV1"],
  ])("%s", (_name, typed, clean) => {
    expect(cleanVin(typed)).toBe(clean);
  });
});

describe("the check digit", () => {
  it.each([
    ["too short", "1HG", null],
    ["a letter no VIN has", "1HGCV1F34KAO48217", null],
    ["ten is written X", "1M8GDM9AXKP042788", "X"],
    ["it does not depend on itself", "1M8GDM9A0KP042788", "X"],
  ])("%s", (_name, vin, expected) => {
    expect(expectedCheckDigit(vin)).toBe(expected);
  });
});

describe("model years", () => {
  const vin = (seventh: string, tenth: string): string => `1HGCV1${seventh}34${tenth}A048217`;
  it.each([
    ["a car, letter, K", vin("F", "K"), "car", [2019, 1989]],
    ["a car, digit, K", vin("1", "K"), "car", [1989, 2019]],
    ["a car, letter, 5: 2035 is too late", vin("F", "5"), "car", [2005]],
    ["a motorcycle does not tell", vin("1", "K"), "motorcycle", [2019, 1989]],
    ["Z is no year", vin("F", "Z"), "car", []],
    ["0 is no year", vin("F", "0"), "car", []],
    ["an unknown maker is read as a car", vin("F", "K"), null, [2019, 1989]],
  ] as const)("%s", (_name, text, kind, years) => {
    expect(modelYearCandidates(text, kind, 2026)).toEqual(years);
  });
  it("need a whole VIN", () => {
    expect(modelYearCandidates("1HGCV1F34K", "car", 2026)).toEqual([]);
  });
  it("are settled by position 7 for cars, not for trucks and motorcycles", () => {
    expect([cycleIsSettled("car"), cycleIsSettled(null)]).toEqual([true, true]);
    expect((["truck", "mpv", "incomplete", "motorcycle"] as const).map(cycleIsSettled)).toEqual([
      false,
      false,
      false,
      false,
    ]);
  });
});

describe("drive and transmission from names", () => {
  it.each([
    ["LX AWD", "AWD/All-Wheel Drive"],
    ["328i xDrive", "AWD/All-Wheel Drive"],
    ["Quattro Premium", "AWD/All-Wheel Drive"],
    ["4x4 Crew", "4WD/4-Wheel Drive/4x4"],
    ["FWD", "FWD/Front-Wheel Drive"],
    ["Sport", null],
    ["FWD / AWD", null],
  ])("%p drives %p", (name, drive) => {
    expect(driveFromNames(name, null)).toBe(drive);
  });
  it.each([
    ["EX CVT", "Continuously Variable Transmission (CVT)"],
    ["6MT", "Manual/Standard"],
    ["8AT", "Automatic"],
    ["DCT", "Dual-Clutch Transmission (DCT)"],
    ["Limited", null],
  ])("%p shifts %p", (name, transmission) => {
    expect(transmissionFromNames(name)).toBe(transmission);
  });
});

describe("the engine", () => {
  const table = sampleVinTable();
  it("takes the VIN's own facts before those of the engine's name", () => {
    expect(describeEngine({ engineModel: "t20", cylinders: "6", fuel: "Diesel" }, table)).toMatchObject({
      cylinders: 6,
      fuel: "Diesel",
      configuration: "In-Line",
      displacementL: 2,
    });
  });
  it.each([
    [{ liters: "5.30" }, 5.3],
    [{ cubicCentimeters: "1496" }, 1.496],
    [{ cubicInches: "350" }, 5.735],
    [{ liters: "0", cubicCentimeters: "998.0" }, 0.998],
    [{ liters: "none" }, null],
    [{}, null],
  ])("%p displaces %p liters", (facts, liters) => {
    expect(describeEngine(facts, table).displacementL).toBe(liters);
  });
  it.each([
    ["Yes", true],
    ["No", false],
  ])("turbo %p", (turbo, expected) => {
    expect(describeEngine({ turbo }, table).turbo).toBe(expected);
  });
  it("does not make up a count of cylinders", () => {
    expect(describeEngine({ cylinders: "TBD" }, table).cylinders).toBeNull();
  });
});

describe("suggestions", () => {
  const sound = (vin: string): string => vin.slice(0, 8) + (expectedCheckDigit(vin) ?? "") + vin.slice(9);
  const meant = sound("1TZAB2AA0JA012145");
  const judge = (): number => 1;

  it.each([
    ["5 for S and back", "S", "5"],
    ["8 for B and back", "B", "8"],
    ["2 for Z and back", "Z", "2"],
    ["6 for G and back", "G", "6"],
    ["0 for D and back", "D", "0"],
    ["V for U and back", "U", "V"],
  ])("put right %s", (_name, letter, other) => {
    for (const [right, wrong] of [
      [letter, other],
      [other, letter],
    ] as const) {
      const whole = sound(`1TZAB2A${right}0JA012145`);
      const misread = `1TZAB2A${wrong}${whole.slice(8)}`;
      expect(suggestVins(misread, judge).map(({ vin }) => vin)).toContain(whole);
    }
  });

  it("are fewer changes first, and better known ones before others", () => {
    const misread = `${meant.slice(0, 11)}O${meant.slice(12)}`;
    const ranked = suggestVins(misread, (vin) => (vin === meant ? 2 : 1));
    expect(ranked[0]?.vin).toBe(meant);
    expect(ranked[0]?.changes).toEqual([{ position: 12, from: "O", to: "0" }]);
  });

  it("leave out whose maker is unknown, and say nothing for another length", () => {
    expect(suggestVins(`${meant.slice(0, 11)}O${meant.slice(12)}`, () => null)).toEqual([]);
    expect(suggestVins(meant.slice(1), judge)).toEqual([]);
  });

  it("give up where too many characters cannot be", () => {
    expect(suggestVins("?".repeat(17), judge)).toEqual([]);
  });
});
