import { gradeFromMeasures, verdictOf } from "./grade";
import { legalLimit, limitsFault, treadIn, type Measure } from "./measure";
import { measureDoubt } from "./measureDoubt";
import { inspectionPoint } from "./point";
import { unevenWear } from "./unevenWear";
import { USUAL_POINTS } from "./usualSheets";

const of = (id: string) => USUAL_POINTS.find((point) => point.id === id)!;
const TODAY = "2026-11-27";
const spec = (value: string) => ({ value, from: "specSheet" as const });
const on = (specs: object = {}) => ({ specs, today: TODAY });
const owners = (over: object): Measure =>
  inspectionPoint.parse({
    ...{ id: "p", title: "P", area: "A" },
    measures: [{ key: "k", name: "K", unit: "mm", step: 1, start: 1, most: 20, ...over }],
  }).measures[0]!;

it.each([
  ["frontPads", { value: 2.9 }, {}, "act"],
  ["frontPads", { value: 3 }, {}, "watch"],
  ["frontPads", { value: 5 }, {}, "sound"],
  ["frontPads", {}, {}, null],
  ["tread", { value: 1.5 }, {}, "unsafe"],
  ["tread", { value: 2 }, {}, "act"],
  ["tireLeftFront", { inner: 7, middle: 7, outer: 7 }, {}, "sound"],
  ["tireLeftFront", { inner: 7, middle: 10, outer: 7 }, {}, "watch"],
  ["tireLeftFront", { inner: 1, middle: 7, outer: 7 }, {}, "unsafe"],
  ["tireLeftFront", { middle: 7, dot: 1016 }, {}, "act"],
  ["tireLeftFront", { middle: 7, dot: 1020 }, {}, "watch"],
  ["tireLeftFront", { middle: 7, dot: 1024 }, {}, "sound"],
  ["tireLeftFront", { middle: 7, pressure: 29 }, { pressureFrontPsi: spec("33") }, "watch"],
  ["tireLeftFront", { middle: 7, pressure: 22 }, { pressureFrontPsi: spec("33") }, "act"],
  ["tireLeftFront", { middle: 7, pressure: 22 }, {}, "sound"],
  ["rotorsFront", { thickness: 22.9 }, { rotorMinimumFrontMm: spec("23") }, "unsafe"],
  ["rotorsFront", { thickness: 23.4 }, { rotorMinimumFrontMm: spec("23") }, "watch"],
  ["rotorsFront", { thickness: 25 }, { rotorMinimumFrontMm: spec("23") }, "sound"],
  ["rotorsFront", { thickness: 20 }, { rotorMinimumFrontMm: spec("unknown") }, "sound"],
  ["battery12", { rest: 12.6, rated: 600, measured: 400 }, {}, "act"],
  ["battery12", { rest: 12.6, rated: 600, measured: 500 }, {}, "watch"],
  ["battery12", { rest: 12.6, measured: 300 }, {}, "sound"],
  ["battery12", { load: 9.5, degrees: 75 }, {}, "act"],
  ["battery12", { load: 9.5, degrees: 45 }, {}, "sound"],
  ["battery12", { load: 8.4, degrees: -20 }, {}, "act"],
  ["charging", { charging: 15.4 }, {}, "act"],
  ["brakeFluid", { water: 2.5 }, {}, "watch"],
  ["coolant", { freeze: 20 }, {}, "act"],
])("%s with %j on %j is %p", (id, measured, specs, grade) => {
  expect(gradeFromMeasures(of(id), measured, on(specs))).toBe(grade);
});

it("says by whose limit", () => {
  const [tread] = of("tread").measures;
  const verdict = (value: number) => tread && verdictOf(tread, value, {}, [tread], on());
  expect(verdict(1)).toEqual({ grade: "unsafe", reason: { by: "law", least: 2 } });
  expect(verdict(3)).toEqual({ grade: "act", reason: { by: "owner", limit: 4, side: "below" } });
  expect(verdict(9)).toEqual({ grade: null, reason: null });
});

it("knows what the law wants in both units, and lets no owner set it softer", () => {
  expect(legalLimit({ kind: "tread", unit: "mm" })?.least).toBe(1.6);
  expect([treadIn("mm", 4), treadIn("/32 in", 3.2)]).toEqual([3.2, 4]);
  expect(limitsFault(owners({ kind: "tread", unit: "/32 in", watchBelow: 3, actBelow: 1 }))).toMatch(/the law wants/);
  expect(limitsFault(owners({ kind: "tread", unit: "/32 in", watchBelow: 5, actBelow: 2 }))).toBeNull();
  expect(limitsFault(owners({ watchBelow: 2, actBelow: 3 }))).toMatch(/below/);
  expect(limitsFault(owners({ watchAbove: 4, actAbove: 3 }))).toMatch(/above/);
});

it.each([
  [{ inner: 3, middle: 6, outer: 7 }, "inner"],
  [{ inner: 7, middle: 6, outer: 3 }, "outer"],
  [{ inner: 7, middle: 4, outer: 7 }, "middle"],
  [{ inner: 4, middle: 7, outer: 4 }, "edges"],
  [{ inner: 6, middle: 7, outer: 6 }, null],
  [{ inner: 6, outer: 7 }, null],
  [{ middle: 3 }, null],
])("%j wears %p", (measured, wear) => expect(unevenWear(of("tireLeftFront").measures, measured)).toBe(wear));

const measureOf = (id: string, key: string): Measure => of(id).measures.find((each) => each.key === key)!;
it.each([
  ["tread deeper than new", measureOf("tireLeftFront", "middle"), 70, null, { why: "moreThanNew", likely: 7 }],
  ["tread that fits", measureOf("tireLeftFront", "middle"), 7, 8, null],
  ["tread that grew", measureOf("tireLeftFront", "middle"), 9, 4, { why: "grewBack", likely: null }],
  ["a pad in inches", measureOf("frontPads", "value"), 0.3, null, { why: "tooSmall", likely: 7.5 }],
  ["a pad down to its plate", measureOf("frontPads", "value"), 0, null, null],
  ["a rotor in inches", measureOf("rotorsFront", "thickness"), 0.95, null, { why: "tooSmall", likely: 24.1 }],
  ["a date that is none", measureOf("tireLeftFront", "dot"), 6023, null, { why: "noDate", likely: null }],
  ["a date to come", measureOf("tireLeftFront", "dot"), 5026, null, { why: "noDate", likely: null }],
  ["a date", measureOf("tireLeftFront", "dot"), 323, null, null],
])("%s", (_name, measure, value, before, doubt) => {
  expect(measureDoubt(measure, value, before, TODAY)).toEqual(doubt);
});
