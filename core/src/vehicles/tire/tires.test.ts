import { compareTires } from "./compareTires";
import { readTireAge } from "./tireAge";

describe("another tire size", () => {
  it("shows the difference in diameter, the speed really driven, load and speed", () => {
    expect(compareTires("215/55R17 94V", "225/50R17 94W")).toMatchObject({
      diameterDifferenceMm: -11.5,
      diameterDifferencePercent: -1.7,
      trueMphAt60: 59,
      loadDifferenceKg: 0,
      speedDifferenceKmh: 30,
      warnings: [],
    });
  });

  it.each<[string, string, string, string[]]>([
    ["the same", "215/55R17 94V", "215/55R17 94V", []],
    ["taller than the speedometer knows", "215/55R17 94V", "225/55R17 97V", ["reads-low"]],
    ["far taller", "215/55R17 94V", "235/60R17 102V", ["diameter"]],
    ["far smaller", "215/55R17 94V", "195/45R17 81V", ["diameter", "load"]],
    ["slower", "215/55R17 94V", "215/55R17 94S", ["speed"]],
    ["for another wheel", "205/60R16 94V", "205/55R17 95V", ["reads-low", "rim"]],
    ["that does not say its ratings", "215/55R17 94V", "215/55R17", ["unsaid"]],
  ])("%s", (_name, original, other, warnings) => {
    const compared = compareTires(original, other).warnings;
    // A difference below half a percent is none.
    expect(compared.filter((warning) => warning !== "reads-low" || warnings.includes("reads-low"))).toEqual(
      expect.arrayContaining(warnings),
    );
    expect(compared.filter((warning) => !warnings.includes(warning) && warning !== "reads-low")).toEqual([]);
  });

  it("never shows minus zero, and says which size cannot be read", () => {
    expect(Object.is(compareTires("215/55R17 94V", "215/55R17 94V").diameterDifferenceMm, -0)).toBe(false);
    expect(() => compareTires("215/55R17 94V", "wide ones")).toThrow(/"wide ones" is not a tire size/);
  });
});

describe("a tire's DOT code", () => {
  const TODAY = "2026-11-23";
  it.each<[string, string, number, string]>([
    ["2319", "2019-06-03", 89, "aging"],
    ["DOT XK4R 7Y2 0124", "2024-01-01", 34, "good"],
    ["dot b9yr-4115", "2015-10-05", 133, "old"],
    ["4726", "2026-11-16", 0, "good"],
    // 2020 has a week 53.
    ["5320", "2020-12-28", 70, "good"],
  ])("%s was made in the week of %s", (code, madeOn, ageMonths, standing) => {
    expect(readTireAge(code, TODAY)).toMatchObject({ madeOn, ageMonths, standing });
  });

  it.each([
    ["239", /before 2000/],
    ["DOT XK4R", /ends with four digits/],
    ["5321", /no week 53 in 2021/],
    ["0019", /no week 00/],
    ["4926", /still to come/],
    ["", /ends with four digits/],
  ])("%s is refused with a reason", (code, reason) => {
    expect(() => readTireAge(code, TODAY)).toThrow(reason);
  });
});
