import fc from "fast-check";
import { CHECK_DIGIT_INDEX, expectedCheckDigit } from "../checkDigit";
import { vinsFromCode } from "./vinFromCode";

const sound = (vin: string): string =>
  vin.slice(0, CHECK_DIGIT_INDEX) + (expectedCheckDigit(vin) ?? "?") + vin.slice(CHECK_DIGIT_INDEX + 1);
const VIN = sound("1TZAB2AA0JA012145");

describe("what a barcode says", () => {
  it.each<[string, string, string[]]>([
    ["the VIN alone", VIN, [VIN]],
    ["in lower case", VIN.toLowerCase(), [VIN]],
    ["with the I of an import before it", `I${VIN}`, [VIN]],
    ["between stars", `*${VIN}*`, [VIN]],
    ["in an address", `https://example.com/cars?vin=${VIN}&lot=7`, [VIN]],
    ["in a list of fields", `${VIN},WHITE,2018`, [VIN]],
    [
      "in the code of a registration paper",
      `@\nANSI 6360450002VH00410030\nVHVAD${VIN}\nVAKTERN\nVAL2018\n`.replace("VHVAD", "VAD"),
      [VIN],
    ],
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
