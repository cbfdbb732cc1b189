import { specFault, specLines, type SpecSheet } from "./specSheet";

const SHEET: SpecSheet = {
  source: "Stand-in",
  simulated: true,
  values: { oilGrade: "0W-20", oilCapacityQuarts: "4.4" },
  intervals: [],
};
const by = (value: string | null, at: string) => ({ key: "oilGrade" as const, value, at, by: "Odile Farrow" });

it("puts the mechanic's latest correction over the source, and the source back when it is taken back", () => {
  const corrected = specLines(SHEET, [by("5W-20", "1"), by("5W-30", "2")]).find(({ key }) => key === "oilGrade");
  expect(corrected).toMatchObject({
    value: "5W-30",
    sourceValue: "0W-20",
    correction: { by: "Odile Farrow", at: "2" },
  });
  const back = specLines(SHEET, [by("5W-20", "1"), by(null, "2")]).find(({ key }) => key === "oilGrade");
  expect(back).toMatchObject({ value: "0W-20", correction: null });
});
it("has what was found on the car where no source says anything", () => {
  expect(specLines(null, [by("5W-30", "1")]).map(({ key }) => key)).toEqual(["oilGrade"]);
  expect(specLines(null, [])).toEqual([]);
});
it.each([
  ["oilCapacityQuarts", "4.4", null],
  ["oilCapacityQuarts", "some", "a number of qt is needed"],
  ["oilCapacityQuarts", "4400", "a number of qt is needed"],
  ["oilGrade", "0W-20", null],
  ["oilGrade", "  ", "a value is needed"],
] as const)("%s %s: %s", (key, value, fault) => {
  expect(specFault(key, value)).toBe(fault);
});
