import { odometerDoubt, readOdometer } from "./odometerDoubt";
import { odometerTrend } from "./odometerTrend";

const at = (day: string): string => `${day}T17:00:00.000Z`;
const TODAY = at("2026-11-26");
const before = odometerTrend([
  { miles: 49_000, at: at("2025-11-20") },
  { miles: 61_000, at: at("2026-11-26") },
]);

it.each([
  ["61,240", 61_240],
  [" 61240 ", 61_240],
  ["61 240", 61_240],
  ["1,061,240", 1_061_240],
  ["0", 0],
  ["1e5", null],
  ["61.2", null],
  ["6,12,40", null],
  ["-5", null],
  ["0x10", null],
  ["2000001", null],
  ["", null],
])("%j is read as %j", (typed, miles) => {
  expect(readOdometer(typed)).toBe(miles);
});

it.each<[miles: number, why: string | undefined, likely: number | null | undefined]>([
  [61_000, undefined, undefined],
  [61_040, undefined, undefined],
  [61_290, undefined, undefined],
  [62_400, "more", null],
  [610_000, "more", 61_000],
  [6_110, "less", 61_100],
  [60_999, "less", null],
  [0, "none", null],
  [64_000, "more", null],
  [16_100, "less", 61_100],
])("%i on the day of 61,000 is asked about: %s", (miles, why, likely) => {
  const doubt = odometerDoubt(before, { miles, at: TODAY });
  expect(doubt?.why).toBe(why);
  expect(doubt?.likelyMiles).toBe(likely);
});

it("asks by how the car is driven, not by the calendar alone", () => {
  const inAYear = at("2027-11-26");
  expect(odometerDoubt(before, { miles: 75_000, at: inAYear })).toBeNull();
  expect(odometerDoubt(before, { miles: 100_000, at: inAYear })).toBeNull();
  expect(odometerDoubt(before, { miles: 130_000, at: inAYear })).toMatchObject({
    why: "more",
    last: { miles: 61_000 },
  });
});

it("of a first reading asks only what hardly any car shows", () => {
  const none = odometerTrend([]);
  expect(odometerDoubt(none, { miles: 148_220, at: TODAY })).toBeNull();
  expect(odometerDoubt(none, { miles: 610_000, at: TODAY })).toEqual({ why: "more", last: null, likelyMiles: null });
  expect(odometerDoubt(none, { miles: 0, at: TODAY })?.why).toBe("none");
});

it("holds a reading against those that fit, not against the newest", () => {
  const wrong = odometerTrend([...before.readings, { miles: 610_000, at: TODAY }]);
  expect(odometerDoubt(wrong, { miles: 61_300, at: at("2026-12-05") })).toBeNull();
});
