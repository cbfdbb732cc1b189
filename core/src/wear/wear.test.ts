import fc from "fast-check";
import { CalcError } from "../calc/error";
import { calcWear } from "./wearCalc";

const reading = (odometer: number, date: string, value: number) => ({ odometer, date, value });
const PADS = [reading(40000, "2025-01-10", 8), reading(46000, "2025-07-10", 7), reading(52000, "2026-01-10", 5.5)];

it("tells the published example", () => {
  expect(calcWear({ limit: 2, readings: PADS })).toEqual({
    ...{ remaining: 3.5, unitsPer1000: 0.208, milesLeft: 16800, milesPerDay: 32.9, dueOn: "2027-06-05" },
  });
});

const NOTHING = { unitsPer1000: null, milesLeft: null, milesPerDay: null, dueOn: null };
it.each([
  ["one reading", 2, [reading(40000, "2025-01-10", 8)], { remaining: 6, ...NOTHING }],
  ["one reading at the limit", 2, [reading(40000, "2025-01-10", 2)], { remaining: 0, ...NOTHING, milesLeft: 0 }],
  [
    "no wear",
    2,
    [reading(40000, "2025-01-10", 8), reading(46000, "2025-01-20", 8)],
    { remaining: 6, ...NOTHING, milesPerDay: 600 },
  ],
  [
    "a new one",
    2,
    [reading(40000, "2025-01-10", 4), reading(46000, "2025-01-20", 8)],
    { remaining: 6, ...NOTHING, milesPerDay: 600 },
  ],
  [
    "not driven",
    2,
    [reading(40000, "2025-01-10", 8), reading(40000, "2025-01-20", 7)],
    { remaining: 5, ...NOTHING, milesPerDay: 0 },
  ],
  [
    "the same day",
    2,
    [reading(40000, "2025-01-10", 8), reading(46000, "2025-01-10", 7)],
    { remaining: 5, unitsPer1000: 0.167, milesLeft: 30000, milesPerDay: null, dueOn: null },
  ],
  [
    "below the limit",
    3,
    [reading(40000, "2025-01-10", 8), reading(46000, "2025-07-10", 2)],
    { remaining: 0, unitsPer1000: 1, milesLeft: 0, milesPerDay: 33.1, dueOn: "2025-07-10" },
  ],
])("%s", (_name, limit, readings, wear) => expect(calcWear({ limit, readings })).toEqual(wear));

const faultOf = (input: unknown): [string, string] => {
  try {
    calcWear(input);
  } catch (error) {
    if (error instanceof CalcError) return [error.code, error.path];
    throw error;
  }
  return ["", ""];
};
it.each([
  [{ limit: 2, readings: [] }, "not-allowed", "readings"],
  [{ limit: 2 }, "missing", "readings"],
  [{ limit: -1, readings: PADS }, "negative", "limit"],
  [{ limit: 2, readings: [...PADS].reverse() }, "not-allowed", "readings[1].odometer"],
  [{ limit: 2, readings: [PADS[0], reading(41000, "2024-01-01", 7)] }, "not-allowed", "readings[1].date"],
  [{ limit: 2, readings: [reading(1, "2025-02-30", 7)] }, "unreadable", "readings[0].date"],
  [{ limit: 2, readings: [reading(1, "2025-02-20", 7.00001)] }, "too-many-decimals", "readings[0].value"],
  [{ limit: 2, readings: PADS, unit: "mm" }, "unknown-key", "unit"],
])("%j is told as %s at %s", (input, code, path) => expect(faultOf(input)).toEqual([code, path]));

it("never tells fewer than no miles, nor a day before the last reading", () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.nat(9000), fc.nat(400), fc.nat(140)), { minLength: 1, maxLength: 8 }),
      fc.nat(40),
      (steps, limit) => {
        let [miles, day] = [0, 0];
        const readings = steps.map(([driven, days, tenths]) => {
          miles += driven;
          day += days;
          const date = new Date(Date.UTC(2020, 0, 1) + day * 86_400_000).toISOString().slice(0, 10);
          return reading(miles, date, tenths / 10);
        });
        const wear = calcWear({ limit: limit / 10, readings });
        expect(wear.milesLeft ?? 0).toBeGreaterThanOrEqual(0);
        if (wear.dueOn !== null && wear.dueOn.length === 10)
          expect(wear.dueOn >= (readings.at(-1)?.date ?? "")).toBe(true);
      },
    ),
  );
});
