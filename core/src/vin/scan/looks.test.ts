import { sampleVinTable } from "../../testing/sampleVinTable";
import { CHECK_DIGIT_INDEX, expectedCheckDigit } from "../checkDigit";
import type { Look } from "./looks";
import { isCertainPlate, platesInLooks } from "./platesInLooks";
import { isAgreed, isCertain, vinsInLooks } from "./vinsInLooks";

const context = { table: sampleVinTable(), currentYear: 2026 };
const sound = (vin: string): string =>
  vin.slice(0, CHECK_DIGIT_INDEX) + (expectedCheckDigit(vin) ?? "?") + vin.slice(CHECK_DIGIT_INDEX + 1);
const VIN = sound("1TZAB2AA0JA012145");
const look = (...lines: string[]): Look => lines.map((text) => ({ text, confidence: [...text].map(() => 96) }));
/** A line whose characters at these places were hardly read. */
const weak = (text: string, ...places: number[]): Look => [
  { text, confidence: [...text].map((_, index) => (places.includes(index) ? 55 : 96)) },
];
const at = (text: string, place: number, character: string): string =>
  text.slice(0, place) + character + text.slice(place + 1);

describe("VINs in several looks", () => {
  it("are certain when two looks read the same", () => {
    const seen = vinsInLooks([look("MFD 04/18", `VIN: ${VIN}`), look(VIN)], context);
    expect(seen[0]).toMatchObject({ text: VIN, looks: 2, unsure: [], checkDigitOk: true });
    expect(isAgreed(seen)).toBe(true);
  });
  it("are not certain from one look, however sure it was", () => {
    const seen = vinsInLooks([look(VIN)], context);
    expect(seen[0]).toMatchObject({ text: VIN, looks: 1, unsure: [] });
    expect(isCertain(seen[0]!)).toBe(false);
    expect(isAgreed(seen)).toBe(false);
  });
  it("are asked about where two looks read otherwise, with both", () => {
    const [best] = vinsInLooks([look(VIN), look(at(VIN, 13, "8"))], context);
    expect(best).toMatchObject({ text: VIN, looks: 1, unsure: [{ position: 14 }] });
    expect(best?.unsure[0]?.choices.slice(0, 2)).toEqual([VIN[13], "8"]);
  });
  it("are asked about where a character was hardly read, in one look or in both", () => {
    expect(vinsInLooks([weak(VIN, 16)], context)[0]?.unsure).toMatchObject([{ position: 17, choices: ["5", "S"] }]);
    expect(vinsInLooks([weak(VIN, 16), weak(VIN, 16)], context)[0]?.unsure).toMatchObject([{ position: 17 }]);
    expect(vinsInLooks([weak(VIN, 16), look(VIN)], context)[0]?.unsure).toEqual([]);
  });
  it("made out of a reading that cannot be right are marked where they were", () => {
    const read = at(VIN, 4, "8");
    const [best] = vinsInLooks([look(read), look(read)], context);
    expect(best).toMatchObject({ text: VIN, looks: 0, unsure: [{ position: 5 }] });
    expect(isCertain(best!)).toBe(false);
  });
  it("never stand alone for certain where a misreading happens to check", () => {
    // Two slips that make up for each other in the check digit.
    const wrong = sound(at(at(VIN, 12, "7"), 13, "4"));
    const seen = vinsInLooks([look(wrong), look(VIN)], context);
    expect(isAgreed(seen)).toBe(false);
    for (const each of seen) expect(each.unsure.length).toBeGreaterThan(0);
  });
  it("in nothing are none", () => {
    expect(vinsInLooks([look("MFD BY TERN", "THE QUICK BROWN FOX JUMPS"), []], context)).toEqual([]);
    expect(isAgreed([])).toBe(false);
  });
});

describe("plates in several looks", () => {
  const best = (looks: Look[], region = "WA") => platesInLooks(looks, region)[0]!;
  it("are certain when two looks read the same, as plates of the state read", () => {
    expect(best([look("LARKHAVEN STATE", "FRY 5083"), look("FRY5083")])).toMatchObject({
      text: "FRY5083",
      looks: 2,
      unsure: [],
      fits: true,
    });
    expect(isCertainPlate(best([look("FRY5083"), look("FRY5083")]))).toBe(true);
    expect(isCertainPlate(best([look("FRY5083")]))).toBe(false);
    expect(isCertainPlate(best([look("4410277"), look("4410277")]))).toBe(false);
  });
  it("are put right by how the state's plates read, and what was read is offered too", () => {
    const seen = platesInLooks([look("FRYS083"), look("FRYS083")], "WA");
    expect(seen.map(({ text, fits }) => [text, fits])).toEqual([
      ["FRY5083", true],
      ["FRYS083", false],
    ]);
    expect(seen[0]?.unsure).toMatchObject([{ position: 4, choices: ["5", "S"] }]);
  });
  it("with a sign too few or too many are no certain ones", () => {
    for (const read of ["GSB822", "2211187", "C00881"])
      expect([read, isCertainPlate(best([look(read), look(read)]))]).toEqual([read, false]);
    expect(isCertainPlate(best([look("RY5083"), look("RY5083")]))).toBe(false);
    expect(isCertainPlate(best([look("FRY50833"), look("FRY50833")]))).toBe(false);
  });
  it("of a state whose plates are not known here are taken as they are read twice", () => {
    expect(best([look("K4410"), look("K4410")], "PE")).toMatchObject({ text: "K4410", fits: null });
    expect(isCertainPlate(best([look("K4410"), look("K4410")], "PE"))).toBe(true);
  });
});
