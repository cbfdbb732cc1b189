import { NO_FACTS, carFactsOf, type CarFacts } from "./carFacts";
import { positionChoices, positionsFor, showPositions } from "./position";
import { readGuide, type TableRow } from "./readGuide";
import { resolveOperation } from "./resolveOperation";

const step = (id: string, per: string, hours: string, more = ""): TableRow => ({
  id,
  title: id,
  per,
  "small car": hours,
  car: hours,
  "large car": hours,
  van: hours,
  pickup: (Number(hours) + 0.1).toFixed(2),
  heavy: "",
  more,
});
const operation = (id: string, per: string, steps: string, only = ""): TableRow => ({
  id,
  title: id,
  area: "Area",
  part: id,
  per,
  "in the way": "",
  steps,
  only,
});
const STEPS = [
  step("lift", "axle", "0.15"),
  step("wheel", "position", "0.2"),
  step("strut", "position", "0.9", "rust:heavy +0.5"),
  step("cover", "once", "0.1"),
  step("plug", "count", "0.12", "layout:flat +0.1"),
];
const OPERATIONS = [
  operation("strut", "corner", "lift wheel strut"),
  operation("plugs", "cylinder", "cover plug", "power:spark"),
];
const GUIDE = readGuide({ source: "Made up", simulated: true }, STEPS, OPERATIONS);
const known = (over: Partial<CarFacts>): CarFacts => ({
  ...NO_FACTS,
  vehicleClass: { value: "car", from: "specSheet" },
  power: { value: "gasoline", from: "car" },
  layout: { value: "transverse", from: "specSheet" },
  cylinders: { value: 4, from: "car" },
  ...over,
});

it("does a step at each place, an axle's once for the axle", () => {
  const one = resolveOperation(GUIDE, "strut", known({}), ["leftFront"]);
  expect(one).toMatchObject({ kind: "hours", hours: 1.25, hoursFrom: 1.25, unknown: [] });
  const both = resolveOperation(GUIDE, "strut", known({}), ["leftFront", "rightFront"]);
  expect(both).toMatchObject({ hours: 2.35 });
  expect(both.kind === "hours" && both.steps.map(({ key }) => key)).toEqual([
    "lift@front",
    "wheel@leftFront",
    "wheel@rightFront",
    "strut@leftFront",
    "strut@rightFront",
  ]);
  expect(resolveOperation(GUIDE, "strut", known({}), ["leftFront", "leftRear"])).toMatchObject({ hours: 2.5 });
});

it("takes the class, the rust and the count of the car", () => {
  const pickup = known({ vehicleClass: { value: "pickup", from: "specSheet" } });
  expect(resolveOperation(GUIDE, "strut", pickup, ["leftFront"])).toMatchObject({ hours: 1.55 });
  const rusty = known({ rust: { value: "heavy", from: "mechanic" } });
  expect(resolveOperation(GUIDE, "strut", rusty, ["leftFront"])).toMatchObject({ hours: 1.75 });
  expect(resolveOperation(GUIDE, "plugs", known({}), [])).toMatchObject({ hours: 0.58 });
  const six = known({ cylinders: { value: 6, from: "car" }, layout: { value: "flat", from: "specSheet" } });
  expect(resolveOperation(GUIDE, "plugs", six, [])).toMatchObject({ hours: 1.42 });
});

it("gives from-to until the car is known, and says what would make it exact", () => {
  expect(resolveOperation(GUIDE, "plugs", NO_FACTS, [])).toMatchObject({
    hoursFrom: 0.46,
    hours: 2.76,
    unknown: ["power", "cylinders", "vehicleClass", "layout"],
  });
});

it("says where there is nothing to do, no hours for a class, no such operation", () => {
  const electric = known({ power: { value: "electric", from: "car" } });
  expect(resolveOperation(GUIDE, "plugs", electric, [])).toMatchObject({
    kind: "doesNotApply",
    because: { fact: "power", is: "spark" },
  });
  const heavy = known({ vehicleClass: { value: "heavy", from: "specSheet" } });
  expect(resolveOperation(GUIDE, "strut", heavy, ["leftFront"])).toMatchObject({
    kind: "noHours",
    vehicleClass: "heavy",
  });
  expect(resolveOperation(GUIDE, "gone", known({}), [])).toEqual({ kind: "notInGuide" });
});

it.each([
  [[{ ...step("a", "once", "0.1"), per: "often" }], [], "steps, row 1"],
  [[{ ...step("a", "once", "1"), car: "0.12345" }], [], "steps, row 1"],
  [[step("a", "once", "1", "moon:full +1")], [], "steps, row 1"],
  [[{ ...step("a", "once", "1"), van: undefined }], [], "steps, row 1"],
  [[step("a", "once", "1"), step("a", "once", "1")], [], "steps[1].id"],
  [[step("a", "once", "1")], [operation("b", "job", "a c")], "operations, row 1"],
])("refuses a table that does not fit together, by its row", (steps, operations, path) => {
  expect(() => readGuide({ source: "", simulated: true }, steps, operations)).toThrow(
    expect.objectContaining({ path }) as Error,
  );
});

it("reads a car's record and specs, each with where it is from", () => {
  const spec = { label: "", unit: null, correction: null, sourceValue: null };
  const facts = carFactsOf(
    { year: 2010, engine: "3.6 L V6", drive: "4WD" },
    [
      { ...spec, key: "vehicleClass", value: "Pickup" },
      { ...spec, key: "oilGrade", value: "5W-30" },
      { ...spec, key: "rust", value: "Heavy", correction: { key: "rust", value: "Heavy", at: "", by: "" } },
    ],
    2026,
  );
  expect(facts).toMatchObject({
    vehicleClass: { value: "pickup", from: "specSheet" },
    power: { value: "gasoline", from: "car" },
    drive: { value: "all", from: "car" },
    rust: { value: "heavy", from: "mechanic" },
    layout: null,
    cylinders: { value: 6, from: "car" },
    ageYears: { value: 16, from: "car" },
    specs: { oilGrade: { value: "5W-30", from: "specSheet" } },
  });
});

it.each([
  ["2.5 L 4 cyl", "gasoline", 4],
  ["Electric, 2 motors", "electric", null],
  ["1.8 L 4 cyl hybrid", "hybrid", 4],
  ["6.7 L V8 diesel", "diesel", 8],
  ["2 L", "gasoline", null],
  [null, null, null],
])("knows power and cylinders of %s", (engine, power, cylinders) => {
  const facts = carFactsOf({ year: null, engine, drive: null }, [], 2026);
  expect([facts.power?.value ?? null, facts.cylinders?.value ?? null]).toEqual([power, cylinders]);
});

it("says positions as a mechanic does", () => {
  expect(showPositions(["leftFront", "rightFront"])).toBe("both fronts");
  expect(showPositions(["rightRear"])).toBe("right rear");
  expect(showPositions(["leftFront", "rightRear"])).toBe("left front, right rear");
  expect(positionChoices(positionsFor("side"))).toEqual([["left", "right"], ["left"], ["right"]]);
  expect(positionChoices(positionsFor("corner"))).toHaveLength(7);
});
