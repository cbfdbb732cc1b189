import fc from "fast-check";
import { odometerTrend, predictDate, predictMiles } from "./odometerTrend";

const at = (day: string): string => `${day}T17:00:00.000Z`;
const YEAR = odometerTrend([
  { miles: 50_000, at: at("2025-01-01") },
  { miles: 62_000, at: at("2026-01-01") },
]);

it("gives the miles a year between the first and the last reading", () => {
  expect(YEAR.milesPerYear).toBe(12_008);
});

it("leaves out a reading that goes backwards, and says so", () => {
  const trend = odometerTrend([
    { miles: 62_000, at: at("2026-01-01") },
    { miles: 5_200, at: at("2025-07-01") },
    { miles: 50_000, at: at("2025-01-01") },
  ]);
  expect(trend).toMatchObject({ milesPerYear: 12_008, doubtful: [{ miles: 5_200 }] });
});

it("trusts no reading because it is the newest, and goes by what fits once there are more", () => {
  const wrong = { miles: 610_000, at: at("2026-11-26") };
  const right = [
    { miles: 49_000, at: at("2025-11-20") },
    { miles: 61_000, at: at("2026-11-26") },
  ];
  expect(odometerTrend([...right, wrong])).toMatchObject({ readings: right, doubtful: [wrong] });
  const next = { miles: 61_400, at: at("2026-12-10") };
  expect(odometerTrend([...right, wrong, next])).toMatchObject({ readings: [...right, next], doubtful: [wrong] });
});

it("goes over to another instrument once more readings side with it", () => {
  const old = [
    { miles: 98_000, at: at("2025-01-01") },
    { miles: 99_000, at: at("2025-03-01") },
  ];
  const renewed = [
    { miles: 20, at: at("2025-04-01") },
    { miles: 900, at: at("2025-05-01") },
    { miles: 2_100, at: at("2025-07-01") },
  ];
  expect(odometerTrend([...old, ...renewed.slice(0, 2)]).readings).toEqual(old);
  expect(odometerTrend([...old, ...renewed]).readings).toEqual(renewed);
});

it("says nothing from one reading or from two of one week, and takes the usual miles then", () => {
  const fresh = odometerTrend([{ miles: 100, at: at("2026-01-01") }]);
  expect(fresh.milesPerYear).toBeNull();
  expect(predictMiles(fresh, at("2027-01-01"))).toBe(100 + 11_992);
  expect(
    odometerTrend([
      { miles: 1, at: at("2026-01-01") },
      { miles: 900, at: at("2026-01-05") },
    ]).milesPerYear,
  ).toBeNull();
  expect(predictMiles(odometerTrend([]), at("2026-01-01"))).toBeNull();
});

it("tells when so many miles are reached, never for a car that stands", () => {
  expect(predictDate(YEAR, 68_000, "UTC")).toBe("2026-07-03");
  const standing = odometerTrend([
    { miles: 500, at: at("2020-01-01") },
    { miles: 500, at: at("2026-01-01") },
  ]);
  expect(standing.milesPerYear).toBe(0);
  expect(predictDate(standing, 600, "UTC")).toBeNull();
});

it("never predicts less than was read, whatever the readings", () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          miles: fc.integer({ min: 0, max: 400_000 }),
          at: fc
            .date({ min: new Date("2010-01-01"), max: new Date("2026-01-01"), noInvalidDate: true })
            .map((date) => date.toISOString()),
        }),
        { minLength: 1, maxLength: 12 },
      ),
      (readings) => {
        const trend = odometerTrend(readings);
        expect(trend.readings.length + trend.doubtful.length).toBe(readings.length);
        expect(predictMiles(trend, "2026-06-01T00:00:00.000Z")).toBeGreaterThanOrEqual(
          trend.readings.at(-1)?.miles ?? 0,
        );
      },
    ),
  );
});
