import { USUAL_POINTS, type InspectionPoint, type Measure } from "@mechanon/core";
import { BUSINESS } from "../testing/harness";
import { isDoneBy, isMeasuredToItsEnd } from "./checkActs";
import { allMeasured, measureDoubtWords, reasonWords } from "./measureWords";
import { noteWith, noteWithout, notesIn } from "./noteParts";
import { valueChoices } from "./valueChoices";
import { wearLine } from "./wearLine";
import { whoChecks } from "./whoChecks";

const of = (id: string): InspectionPoint => USUAL_POINTS.find((point) => point.id === id)!;
const measure = (id: string, key: string): Measure => of(id).measures.find((each) => each.key === key)!;
const AT = "2026-11-27T17:42:00.000Z";
const finding = (measures: Record<string, number>, over: object = {}) => ({
  ...{ pointId: "tireLeftFront", grade: "sound" as const, measures, note: "", at: AT, by: "me" },
  ...over,
});

describe("values worth a tap", () => {
  it.each([
    ["tireLeftFront", "middle", null, [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13]],
    ["frontPads", "value", null, [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14]],
    ["tireLeftFront", "dot", null, []],
    ["battery12", "rated", null, []],
  ])("%s %s, likely %p: %j", (id, key, likely, values) => {
    expect(valueChoices(measure(id, key), likely)).toEqual(values);
  });
  it("lie around the likely one where there are many, the limits among them", () => {
    const volts = valueChoices(measure("battery12", "rest"), null);
    expect(volts).toHaveLength(14);
    expect(volts).toEqual(expect.arrayContaining([12, 12.4, 12.6]));
    const psi = valueChoices(measure("tireLeftFront", "pressure"), 36);
    expect(psi).toEqual(expect.arrayContaining([33, 36]));
    const freeze = valueChoices(measure("coolant", "freeze"), null);
    expect(freeze[0]).toBe(-40);
    for (const value of [...volts, ...psi]) expect(String(value).length).toBeLessThanOrEqual(5);
  });
});

describe("on to the next point", () => {
  const tire = of("tireLeftFront");
  it.each([
    ["inner", { inner: 7 }, false],
    ["middle", { inner: 7, middle: 7 }, false],
    ["outer", { inner: 7, middle: 7, outer: 7 }, true],
    ["outer", { outer: 7 }, false],
  ])("after %s with %j: %p", (key, measures, isDone) => {
    expect(isDoneBy(tire, key, { grade: "sound", measures })).toBe(isDone);
  });
  it("not from what is bad, and what was begun is measured to its end", () => {
    expect(isDoneBy(tire, "outer", { grade: "act", measures: { inner: 3, middle: 3, outer: 3 } })).toBe(false);
    expect(isMeasuredToItsEnd(tire, finding({ middle: 3 }))).toBe(false);
    expect(isMeasuredToItsEnd(tire, finding({ inner: 3, middle: 3, outer: 3 }))).toBe(true);
    expect(isMeasuredToItsEnd(of("oil"), finding({}))).toBe(true);
  });
});

it("says measures as the trade writes them", () => {
  expect(allMeasured(of("tireLeftFront"), finding({ inner: 3, dot: 323 }))).toBe("3/32 in · 0323");
  expect(reasonWords({ by: "share", percent: 64 }, "A")).toBe("64 % of what it is rated");
  expect(reasonWords({ by: "car", limit: 23 }, "mm")).toBe("This car's own figure is 23 mm");
  const dot = measure("tireLeftFront", "dot");
  expect(measureDoubtWords({ why: "noDate", likely: null }, dot, 6023)).toMatch(/^6023 is no week and year/);
});

it("puts notes together and takes them apart, and leaves what was typed", () => {
  expect(noteWith("", "Low")).toBe("Low");
  expect(noteWith("Low", "Dark")).toBe("Low; Dark");
  expect(noteWithout("Low; Dark; own words", "Dark")).toBe("Low; own words");
  expect(notesIn("Low; own words", ["Low", "Dark"])).toEqual(["Low"]);
});

it("draws wear from the first reading to its limit", () => {
  const readings = [
    { odometer: 40_000, date: "2026-01-10", value: 8 },
    { odometer: 52_000, date: "2026-11-10", value: 5 },
  ];
  const box = { width: 320, height: 120 };
  const drawn = wearLine(readings, 3, 8000, box);
  expect(drawn?.dots.map(({ x, y }) => [x, y])).toEqual([
    [22, 22],
    [187.6, 67.6],
  ]);
  expect(drawn?.ahead).toBe("187.6,67.6 298,98");
  expect(drawn?.limitY).toBe(98);
  expect(wearLine(readings.slice(1), 3, null, box)).toBeNull();
  expect(wearLine(readings, 3, 0, box)?.ahead).toBeNull();
});

it("says who checks, and how far", () => {
  const points = [of("tireLeftFront"), of("oil")];
  const [person] = BUSINESS.people;
  const findings = [finding({}, { by: person?.id, pointId: "oil" }), finding({}, { pointId: "elsewhere", by: "x" })];
  expect(whoChecks(points, findings, BUSINESS, "2026-11-27")).toBe(`${person?.name}, last engine oil at 9:42 am`);
  expect(whoChecks(points, [], BUSINESS, "2026-11-27")).toBe("");
});
