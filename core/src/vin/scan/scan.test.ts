import fc from "fast-check";
import { sampleVinTable } from "../../testing/sampleVinTable";
import { CHECK_DIGIT_INDEX, expectedCheckDigit } from "../checkDigit";
import { platesInText, vinsInText } from "./readText";
import { vinsFromCode } from "./vinFromCode";

const context = { table: sampleVinTable(), currentYear: 2026 };
const sound = (vin: string): string =>
  vin.slice(0, CHECK_DIGIT_INDEX) + (expectedCheckDigit(vin) ?? "?") + vin.slice(CHECK_DIGIT_INDEX + 1);
const VIN = sound("1TZAB2AA0JA012145");
const OTHER = sound("1TZAC2AA0JA900318");

describe("what a barcode says", () => {
  it.each<[string, string, string[]]>([
    ["the VIN alone", VIN, [VIN]],
    ["in lower case", VIN.toLowerCase(), [VIN]],
    ["with the I of an import before it", `I${VIN}`, [VIN]],
    ["between stars", `*${VIN}*`, [VIN]],
    ["in an address", `https://example.com/cars?vin=${VIN}&lot=7`, [VIN]],
    ["in a list of fields", `${VIN},WHITE,2018`, [VIN]],
    ["a part number", "HY-4410", []],
    ["a longer serial number", `${VIN}99`, []],
    ["letters no VIN has", "1TZAB2AAOJA0I2145", []],
    ["nothing", "", []],
  ])("%s", (_name, text, vins) => {
    expect(vinsFromCode(text)).toEqual(vins);
  });
  it("puts a VIN that checks before one that does not", () => {
    const wrong = `${VIN.slice(0, -1)}9`;
    expect(vinsFromCode(`${wrong} ${VIN}`)).toEqual([VIN, wrong]);
  });
  it("never gives anything but 17 characters a VIN may have", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (text) => {
        for (const vin of vinsFromCode(text)) expect(vin).toMatch(/^[A-HJ-NPR-Z0-9]{17}$/);
      }),
    );
  });
});

describe("what a photographed text says", () => {
  it.each<[string, string]>([
    ["by itself", VIN],
    ["after its label", `VIN: ${VIN}`],
    ["among other lines", `MFD BY TERN 04/18\nVIN ${VIN}\nGVWR 4,001 LB`],
    ["with spaces read into it", `${VIN.slice(0, 3)} ${VIN.slice(3, 11)} ${VIN.slice(11)}`],
    ["with O for 0 and I for 1", VIN.replace(/0/g, "O").replace(/1/g, "I")],
    ["with Q for 0", VIN.replace("0", "Q")],
    [
      "with a letter where the check digit is",
      VIN.slice(0, CHECK_DIGIT_INDEX) + "A" + VIN.slice(CHECK_DIGIT_INDEX + 1),
    ],
    ["with a 5 read as S", VIN.replace("5", "S")],
  ])("%s", (_name, text) => {
    expect(vinsInText(text, context)[0]).toMatchObject({ vin: VIN, checkDigitOk: true });
  });
  it("puts what was probably meant before what was read", () => {
    const read = VIN.replace("B", "8");
    expect(vinsInText(read, context).map(({ vin }) => vin)[0]).toBe(VIN);
  });
  it("offers both of two labels", () => {
    const found = vinsInText(`${VIN}\n${OTHER}`, context).map(({ vin }) => vin);
    expect(found).toEqual(expect.arrayContaining([VIN, OTHER]));
  });
  it.each(["", "MFD BY TERN 04/18", "THE QUICK BROWN FOX JUMPS OVER THE LAZY DOG", "@@@@\n~~~~"])(
    "finds nothing in %j",
    (text) => {
      expect(vinsInText(text, context)).toEqual([]);
    },
  );
});

describe("what a photographed plate says", () => {
  it.each<[string, string]>([
    ["FRY5083", "FRY5083"],
    ["LARKHAVEN STATE\nFRY 5083\n", "FRY5083"],
    ["fry-5083", "FRY5083"],
    ["~ FRY5083 |", "FRY5083"],
  ])("%j", (text, plate) => {
    expect(platesInText(text)[0]).toBe(plate);
  });
  it("needs a digit, and is short", () => {
    expect(platesInText("LARKHAVEN\nEVERGREEN")).toEqual([]);
  });
});
