import { visitSample } from "../testing/samples";
import { keptDay } from "./keptDay";

it("opens a day that yesterday's app kept, and one of today's", () => {
  const visit = visitSample();
  const { arranged: _a, isLocked: _l, readyBy: _r, anotherTripWhy: _w, series: _s, calledOff: _c, ...before } = visit;
  const day = (kept: object): object => ({
    date: "2026-11-23",
    visits: [{ visit: kept, mechanicName: "Odile Farrow", workOrders: [] }],
  });
  expect(keptDay.parse(day({ ...before, version: 2 }))).toEqual(keptDay.parse(day(visit)));
  expect(keptDay.safeParse({ date: "2026-11-23", visits: [{ visit: 3 }] }).success).toBe(false);
});
