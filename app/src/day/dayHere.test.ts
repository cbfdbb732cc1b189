import type { DayVisit } from "@mechanon/contract";
import type { NewerHere } from "../sync/useNewerHere";
import { jobSample, stateSample, viewSample, visitSample } from "../testing/samples";
import { dayHere } from "./dayHere";
import { openWorkHere } from "./openWorkHere";
import { summaryHere } from "./summaryHere";

const DAY = { date: "2026-11-23", zone: "America/Los_Angeles", names: new Map([["mechanic-2", "Tomas Breck"]]) };
const at = (hour: number, over: Parameters<typeof visitSample>[0] = {}) =>
  visitSample({
    id: `visit-${hour}`,
    startsAt: `2026-11-23T${hour}:00:00.000Z`,
    endsAt: `2026-11-23T${hour}:45:00.000Z`,
    ...over,
  });
const listed = (...visits: ReturnType<typeof visitSample>[]): DayVisit[] =>
  visits.map((visit) => ({ visit, mechanicName: "Odile Farrow", workOrders: [summaryHere(viewSample())] }));
const newer = (over: Parameters<typeof viewSample>[0], told: NewerHere["told"] = null): NewerHere => ({
  view: viewSample(over),
  told,
});
const hours = (stops: readonly DayVisit[]): string[] => stops.map(({ visit }) => visit.startsAt.slice(11, 13));

describe("a day as this device knows it", () => {
  it("has what was booked and moved here where it belongs, and not what was called off or moved away", () => {
    const booked = at(20, { mechanicId: "mechanic-2" });
    const moved = at(22, { id: "visit-17" });
    const gone = at(18, { startsAt: "2026-11-25T18:00:00.000Z" });
    const off = at(19, { cancelledAt: "2026-11-23T12:00:00.000Z" });
    const stops = dayHere(listed(at(17), at(18), at(19), at(21)), [newer({ visits: [booked, moved, gone, off] })], DAY);
    expect(hours(stops)).toEqual(["20", "21", "22"]);
    expect(stops.map(({ mechanicName }) => mechanicName)).toEqual(["Tomas Breck", "Odile Farrow", "Odile Farrow"]);
  });
  it("stands without any answer of the server, in the day of the business and not of the clock of the world", () => {
    const late = at(23, { startsAt: "2026-11-24T06:30:00.000Z" });
    const stops = dayHere([], [newer({ visits: [late], number: 0 })], DAY);
    expect(stops.map(({ workOrders }) => workOrders.map(({ number }) => number))).toEqual([[0]]);
  });
});

describe("open work as this device knows it", () => {
  const asks = stateSample({ jobs: [jobSample()] });
  const group = (
    waitsFor: "answer" | "time",
    workOrders: ReturnType<typeof summaryHere>[],
    count = workOrders.length,
  ) => ({
    waitsFor,
    count,
    workOrders,
    next: count > workOrders.length ? { since: "2026-11-20T10:00:00.000Z", id: "x" } : null,
  });
  const counts = (groups: ReturnType<typeof openWorkHere>): Record<string, number> =>
    Object.fromEntries(groups.filter(({ count }) => count > 0).map(({ waitsFor, count }) => [waitsFor, count]));

  it("has a work order that was opened here, and one where it waits by now", () => {
    const before = viewSample({ state: stateSample({ jobs: [] }) });
    const groups = [group("time", [summaryHere(before)])];
    const opened = newer({ number: 0, state: stateSample({ id: "order-2", jobs: [] }) });
    const open = openWorkHere(groups, [newer({ state: asks }, before), opened]);
    expect(counts(open)).toEqual({ answer: 1, time: 1 });
    expect(open.find(({ waitsFor }) => waitsFor === "time")?.workOrders.map(({ id }) => id)).toEqual(["order-2"]);
  });
  it("counts once what the server counted among those that are not loaded", () => {
    const before = viewSample({ state: stateSample({ jobs: [] }) });
    expect(counts(openWorkHere([group("time", [], 60)], [newer({ state: asks }, before)]))).toEqual({
      answer: 1,
      time: 59,
    });
    expect(counts(openWorkHere([group("time", [], 60)], [newer({ state: before.state }, before)]))).toEqual({
      time: 60,
    });
  });
});
