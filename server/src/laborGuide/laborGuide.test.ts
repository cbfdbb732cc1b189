import {
  VEHICLE_CLASSES,
  carFactsOf,
  fitJob,
  positionsFor,
  resolveOperation,
  type CarFacts,
  type ResolvedOperation,
} from "@mechanon/core";
import { CUSTOMERS, LIBRARY } from "@mechanon/demo";
import { laborGuide } from "./laborGuide";

const guide = laborGuide();
const CARS = CUSTOMERS.flatMap(({ cars }) => cars).filter(({ engine }) => engine !== null);
/** Every demo car as each class of vehicle: a source of specs may say any. */
const FACTS: [string, CarFacts][] = CARS.flatMap((car) =>
  VEHICLE_CLASSES.map((vehicleClass): [string, CarFacts] => [
    `${car.key} as ${vehicleClass}`,
    {
      ...carFactsOf({ year: car.year, engine: car.engine, drive: null }, [], 2026),
      vehicleClass: { value: vehicleClass, from: "specSheet" },
    },
  ]),
);

it("has hours for 250 operations and more, in six classes, each made of steps", () => {
  expect(guide.operations.length).toBeGreaterThanOrEqual(250);
  expect(Object.keys(guide.steps[0]?.hours ?? {})).toEqual([...VEHICLE_CLASSES]);
  const used = new Set(guide.operations.flatMap(({ steps }) => steps));
  expect(guide.steps.filter(({ id }) => !used.has(id))).toEqual([]);
});
it("tells operations on one part apart by what is in the way", () => {
  const plugs = guide.operations.filter(({ part }) => part === "sparkPlugs");
  expect(plugs.map(({ inTheWay }) => inTheWay)).toEqual([null, "The intake manifold covers the rear bank"]);
});
it("resolves every operation the library asks for on every demo car with an engine, or says why not", () => {
  const operations = LIBRARY.flatMap(({ per, fits }) =>
    fits.flatMap((fit) => fit.operations.map((id) => ({ id, per }))),
  );
  const kinds: Record<ResolvedOperation["kind"], string[]> = {
    hours: [],
    doesNotApply: [],
    noHours: [],
    notInGuide: [],
  };
  for (const [car, facts] of FACTS)
    for (const { id, per } of operations) {
      const resolved = resolveOperation(guide, id, facts, positionsFor(per));
      kinds[resolved.kind].push(`${id} on ${car}`);
      if (resolved.kind === "hours") expect(resolved.hours).toBeGreaterThan(0);
    }
  expect(kinds.notInGuide).toEqual([]);
  expect(kinds.noHours).toEqual([]);
  expect(kinds.hours.length).toBeGreaterThan(3000);
  // No combustion engine in sight: only what is for electric cars.
  expect([...new Set(kinds.doesNotApply.map((each) => each.split(" ")[0]))].sort()).toEqual([
    "driveBatteryHealthReport",
    "reductionGearFluid",
  ]);
});
it("has nothing for spark plugs, oil and belts on an electric car, and all else", () => {
  const electric = carFactsOf({ year: 2022, engine: "Electric", drive: "AWD" }, [], 2026);
  const applies = (id: string): boolean => {
    const job = LIBRARY.find((each) => each.id === id);
    if (!job) throw new Error(`no job ${id}`);
    return (
      fitJob(job, { facts: electric, positions: positionsFor(job.per), variantId: null }, guide).doesNotApply === null
    );
  };
  expect(["spark-plugs", "oil-service", "belt", "muffler"].filter(applies)).toEqual([]);
  expect(["front-pads", "tires", "coolant-service", "battery-report"].filter((id) => !applies(id))).toEqual([]);
});
it("keeps at least 60 jobs ready over all areas, whose companions are there and lead back to none as its own", () => {
  expect(LIBRARY.length).toBeGreaterThanOrEqual(60);
  const ids = new Set(LIBRARY.map(({ id }) => id));
  expect(ids.size).toBe(LIBRARY.length);
  for (const { id, companions } of LIBRARY)
    expect(companions.filter((each) => !ids.has(each) || each === id)).toEqual([]);
});
