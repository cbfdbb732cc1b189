import { sampleVinTable } from "../testing/sampleVinTable";
import { CHECK_DIGIT_INDEX, expectedCheckDigit } from "./checkDigit";
import { decodeVin, type VinReport } from "./decodeVin";

const table = sampleVinTable();
const decode = (vin: string, currentYear = 2026): VinReport => decodeVin(vin, { table, currentYear });
/** Puts the right check digit into a VIN. */
const sound = (vin: string): string =>
  vin.slice(0, CHECK_DIGIT_INDEX) + (expectedCheckDigit(vin) ?? "?") + vin.slice(CHECK_DIGIT_INDEX + 1);

const GT = sound("1TZAB2AA0JA012145");

it("computes the check digit of the regulation's own sample", () => {
  expect(expectedCheckDigit("11111111111111111")).toBe("1");
  expect(expectedCheckDigit("1M8GDM9AXKP042788")).toBe("X");
});

it("reads the model from its most specific key and the rest from its own schema first", () => {
  expect(decode(GT)).toMatchObject({
    make: "Tern",
    model: "Sandpiper GT",
    bodyClass: "Sedan/Saloon",
    doors: 4,
    maker: "TERN MOTOR WORKS",
    plant: "LARKHAVEN, WASHINGTON",
    country: "UNITED STATES (USA)",
  });
});

it("completes the engine from its name, and the drive from the trim", () => {
  expect(decode(GT)).toMatchObject({
    drive: "AWD/All-Wheel Drive",
    engine: {
      displacementL: 2,
      cylinders: 4,
      configuration: "In-Line",
      fuel: "Gasoline",
      turbo: true,
      horsepower: 210,
    },
  });
});

it("turns cubic centimeters into liters", () => {
  expect(decode(sound("1TZACXZA0JA012345")).engine).toMatchObject({
    displacementL: 1.496,
    fuel: "Diesel",
    cylinders: null,
    turbo: null,
  });
});

it("does not care for case, spaces and dashes", () => {
  expect(decode(` ${GT.toLowerCase().slice(0, 8)}–${GT.slice(8, 12)} ${GT.slice(12)}`).vin).toBe(GT);
});

describe("model year", () => {
  it.each([
    ["a letter in position 7: 2010 on", "1TZABXAA0JA012345", 2018],
    ["a digit in position 7: up to 2009", "1TZABX1A0JA012345", 1988],
    ["never after next year", "1TZABXAA0YA012345", 2000],
    ["next year itself", "1TZABXAA0VA012345", 2027],
    ["no code: null", "1TZABXAA00A012345", null],
  ])("%s", (_name, vin, year) => {
    expect(decode(sound(vin)).modelYear).toBe(year);
  });
  it("takes the newest year that has the model where position 7 does not say", () => {
    expect(decode(sound("5HMAB11A0JA012345"))).toMatchObject({ modelYear: 2018, model: "Wader" });
    expect(decode(sound("4HTAB11A0JA012345"))).toMatchObject({ modelYear: 2018, model: "Hauler" });
  });
});

describe("a vehicle above 10,000 lb, whose position 7 says nothing of the year", () => {
  it("is of the thirty years that the data knows it for", () => {
    // A digit in position 7, and no such van before 2012.
    expect(decode(sound("2HVAB11A0JA012345"))).toMatchObject({ modelYear: 2018, model: "Hauler", problems: [] });
  });
  it("is of the newest where the data knows both, and says so", () => {
    const report = decode(sound("2HVCB11A0JA012345"));
    expect(report).toMatchObject({ modelYear: 2018, model: "Bittern", problems: [{ code: "either-year" }] });
    expect(report.problems[0]?.message).toContain("2018 or 1988");
  });
  it("does not make a light van of another cycle than its position 7 says", () => {
    expect(decode(sound("2HVBB11A0JA012345"))).toMatchObject({ modelYear: 1988, model: "Stilt", problems: [] });
    expect(decode(sound("2HVBB1AA0JA012345"))).toMatchObject({ modelYear: 2018, model: "Stilt", problems: [] });
  });
});

describe("what is wrong", () => {
  const codes = (vin: string): string[] => decode(vin).problems.map(({ code }) => code);
  it.each([
    ["too short", GT.slice(0, 16), ["wrong-length"]],
    ["too long", `${GT}1`, ["wrong-length"]],
    ["nothing", "", ["wrong-length"]],
    ["an unknown maker", sound("9XXAB2AA0JA012345"), ["unknown-maker"]],
    ["an unknown model", sound("1TZZZ2AA0JA012345"), ["unknown-model"]],
  ])("%s", (_name, vin, expected) => {
    expect(codes(vin)).toEqual(expected);
  });
  it("marks letters that cannot be, with their place", () => {
    expect(decode(`${GT.slice(0, 13)}O${GT.slice(14)}`).problems).toMatchObject([
      { code: "illegal-character", position: 14 },
    ]);
  });
  it("holds a North American car to its check digit, and only notes an import's", () => {
    const wrong = (vin: string): string => vin.slice(0, 8) + (vin[8] === "5" ? "6" : "5") + vin.slice(9);
    expect(codes(wrong(GT))).toEqual(["check-digit"]);
    expect(codes(wrong(sound("WZZAB2AA0JA012345")))).toEqual(["check-digit-note"]);
  });
  it("names no make where several share a maker and no model fits", () => {
    expect(decode(sound("WZZQQ2AA0JA012345"))).toMatchObject({ make: null, model: null, maker: "ZEEMEEUW BV" });
  });
  it("tells a small maker by positions 12 to 14", () => {
    expect(decode(sound("1T9AB2AA0JA123456"))).toMatchObject({ maker: "TINY TERN TRAILERS" });
  });
});

describe("suggestions", () => {
  it.each([
    ["I for 1", 12],
    ["O for 0", 11],
  ])("puts %s right, likeliest first", (name, index) => {
    const letter = name.charAt(0);
    const misread = `${GT.slice(0, index)}${letter}${GT.slice(index + 1)}`;
    const report = decode(misread);
    if (GT.charAt(index) !== name.slice(-1)) throw new Error(`the sample has "${GT.charAt(index)}" there`);
    expect(report.suggestions[0]).toEqual({
      vin: GT,
      changes: [{ position: index + 1, from: letter, to: GT.charAt(index) }],
    });
  });
  it("puts swapped neighbors right", () => {
    const swapped = `${GT.slice(0, 15)}${GT.charAt(16)}${GT.charAt(15)}`;
    expect(decode(swapped).suggestions.map(({ vin }) => vin)).toContain(GT);
  });
  it("offers only VINs that hold and whose maker is known; none for a sound one", () => {
    for (const { vin } of decode(`${GT.slice(0, 11)}D${GT.slice(12)}`).suggestions)
      expect(decode(vin)).toMatchObject({ checkDigit: { ok: true }, maker: expect.any(String) as unknown });
    expect(decode(GT).suggestions).toEqual([]);
  });
});
