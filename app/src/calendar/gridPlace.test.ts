import { instantAt } from "@mechanon/core";
import { freeHalfHours, movedBy, placeInColumn } from "./gridPlace";

const ZONE = "America/Los_Angeles";
const DAY = "2026-11-23";
const at = (hour: number, day = DAY): string => instantAt(day, hour * 60, ZONE);
const span = (from: number, to: number) => ({ startsAt: at(from), endsAt: at(to) });

it("puts a visit into the drawn hours of its day, cut where it is beyond them", () => {
  expect(placeInColumn(span(9, 10.5), DAY, ZONE)).toEqual({ top: 180, height: 90 });
  expect(placeInColumn(span(4, 7), DAY, ZONE)).toEqual({ top: 0, height: 60 });
  expect(placeInColumn({ startsAt: at(21), endsAt: at(2, "2026-11-24") }, DAY, ZONE)).toEqual({ top: 900, height: 60 });
  expect(placeInColumn({ startsAt: at(21, "2026-11-22"), endsAt: at(8) }, DAY, ZONE)).toEqual({ top: 0, height: 120 });
  expect(placeInColumn(span(23, 23.5), DAY, ZONE)).toEqual({ top: 945, height: 15 });
});

it("moves by minutes onto the quarter hours, to another day and mechanic, as long as it is", () => {
  const visit = { mechanicId: "odile", ...span(9, 10) };
  const moved = movedBy(visit, 52, { date: "2026-11-24", mechanicId: "tomas" }, ZONE);
  expect(moved).toEqual({ mechanicId: "tomas", startsAt: at(9.75, "2026-11-24"), endsAt: at(10.75, "2026-11-24") });
  expect(movedBy(visit, -9999, { date: DAY, mechanicId: null }, ZONE).startsAt).toBe(at(0));
  // The clock is put forward that night; the wall clock counts, and so does the length.
  const spring = { mechanicId: "odile", startsAt: at(9, "2027-03-13"), endsAt: at(10, "2027-03-13") };
  expect(movedBy(spring, 0, { date: "2027-03-14", mechanicId: null }, ZONE)).toMatchObject({
    startsAt: at(9, "2027-03-14"),
    endsAt: at(10, "2027-03-14"),
  });
});

it("offers the half hours at which nothing stands for as long as the visit takes", () => {
  const free = freeHalfHours(span(9, 10), [span(8, 12), span(13, 21)], DAY, { zone: ZONE, now: at(6.5) });
  expect(free).toEqual([at(7), at(12), at(21), at(21.5)]);
});
