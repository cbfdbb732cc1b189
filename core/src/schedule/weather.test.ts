import { nothingArranged } from "../visits/arranged";
import type { VisitNeeds } from "./needsOfVisit";
import { placeFaults, type PlaceThen } from "./placeFaults";
import { daylightOf, isInDaylight } from "./sunTimes";
import { weatherThen, type HourOfWeather } from "./weather";

const hour = (at: string, rainPercent: number, over: Partial<HourOfWeather> = {}): HourOfWeather => ({
  at: `2026-11-23T${at}:00:00.000Z`,
  rainPercent,
  rainMm: 0,
  temperatureCelsius: 8,
  windKmh: 10,
  ...over,
});
const span = (from: string, to: string) => ({
  startsAt: `2026-11-23T${from}:00.000Z`,
  endsAt: `2026-11-23T${to}:00.000Z`,
});

it("takes the hours a visit touches together: the wettest, the coldest, the windiest", () => {
  const hours = [
    hour("17", 90),
    hour("18", 20, { temperatureCelsius: 3 }),
    hour("19", 60, { windKmh: 40 }),
    hour("20", 90),
  ];
  expect(weatherThen(hours, span("18:30", "20:00"))).toEqual({ rainPercent: 60, temperatureCelsius: 3, windKmh: 40 });
  expect(weatherThen(hours, span("21:00", "22:00"))).toBeNull();
});

it("knows sunrise and sunset of a day and place, to the minute or two of an almanac", () => {
  // Seattle on 2026-06-21: 05:11 and 21:11 by the almanac.
  const light = daylightOf("2026-06-21", "America/Los_Angeles", { latitude: 47.61, longitude: -122.33 });
  expect(Math.abs(Date.parse(light?.from ?? "") - Date.parse("2026-06-21T12:11:00Z"))).toBeLessThan(3 * 60_000);
  expect(Math.abs(Date.parse(light?.until ?? "") - Date.parse("2026-06-22T04:11:00Z"))).toBeLessThan(3 * 60_000);
  expect(daylightOf("2026-06-21", "Europe/Oslo", { latitude: 78, longitude: 15 })).toBeNull();
  expect(daylightOf("2026-06-21", "utc", { latitude: null, longitude: null })).toBeNull();
  const day = { from: "2026-11-23T15:00:00.000Z", until: "2026-11-23T23:00:00.000Z" };
  expect(isInDaylight(day, span("15:00", "23:00"))).toBe(true);
  expect(isInDaylight(day, span("14:59", "16:00"))).toBe(false);
});

describe("the place against the work", () => {
  const needs: Pick<VisitNeeds, "conditions"> = {
    conditions: (["levelHardGround", "power", "dry", "daylight"] as const).map((condition) => ({
      condition,
      jobs: [condition],
    })),
  };
  const then = (over: Partial<PlaceThen> = {}): PlaceThen => ({
    agreed: nothingArranged(),
    when: span("18:00", "19:00"),
    weather: { rainPercent: 49, temperatureCelsius: 8, windKmh: 0 },
    daylight: { from: "2026-11-23T15:00:00.000Z", until: "2026-11-23T23:00:00.000Z" },
    wetPercent: 50,
    ...over,
  });
  const told = (over: Partial<PlaceThen> = {}): string[] =>
    placeFaults(needs, then(over)).map(({ condition, is }) => `${condition} ${is}`);

  it("tells what is not so from what nobody asked", () => {
    expect(told()).toEqual(["levelHardGround unknown", "power unknown"]);
    const agreed = { ...nothingArranged(), levelHardGround: false, power: true };
    expect(told({ agreed })).toEqual(["levelHardGround missing"]);
  });
  it("is wet from the owner's percent on and dark outside of daylight, unless there is a roof with power", () => {
    const wet = { rainPercent: 50, temperatureCelsius: 8, windKmh: 0 };
    const at = { weather: wet, when: span("22:30", "23:30") };
    expect(told(at)).toEqual(["levelHardGround unknown", "power unknown", "dry missing", "daylight missing"]);
    expect(told({ ...at, agreed: { ...nothingArranged(), levelHardGround: true, roof: true, power: true } })).toEqual(
      [],
    );
    // Beyond the forecast, or without a time, nothing stands against it.
    expect(told({ weather: null, when: null })).toEqual(["levelHardGround unknown", "power unknown"]);
  });
});
