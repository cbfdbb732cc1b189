import { POINTS, bookedVisit, run, start, yes } from "../testing/sampleWorkOrder";
import { arrivesAt, changeUntil } from "./changeUntil";
import { reachHint } from "./reachHint";
import { workSeenByCustomer } from "./workSeenByCustomer";

const visit = bookedVisit("2026-12-05T18:00:00.000Z");

describe("a visit can be changed by its customer", () => {
  it.each([
    ["until the owner's hours before", visit, 24, "2026-12-04T17:59:00.000Z", "2026-12-04T18:00:00.000Z"],
    ["not from then on", visit, 24, "2026-12-04T18:00:00.000Z", null],
    ["until its start where the owner wants no notice", visit, 0, "2026-12-05T17:59:00.000Z", visit.startsAt],
    ["not where it is locked", { ...visit, isLocked: true }, 0, "2026-12-01T00:00:00.000Z", null],
    ["not where it was called off", { ...visit, cancelledAt: visit.startsAt }, 0, "2026-12-01T00:00:00.000Z", null],
    ["not under way", { ...visit, setOffAt: visit.startsAt }, 0, "2026-12-01T00:00:00.000Z", null],
  ])("%s", (_name, given, hours, now, until) => expect(changeUntil(given, hours, now)).toBe(until));
});

it("tells an arrival only while somebody is on the way", () => {
  const driving = { ...visit, setOffAt: "2026-12-05T17:40:00.000Z", driveMinutes: 12 };
  expect(arrivesAt(driving)).toBe("2026-12-05T17:52:00.000Z");
  expect(arrivesAt(visit)).toBeNull();
  expect(arrivesAt({ ...driving, arrivedAt: "2026-12-05T17:50:00.000Z" })).toBeNull();
  expect(arrivesAt({ ...driving, driveMinutes: null })).toBeNull();
});

it("tells a phone or mail by its end alone", () => {
  expect(reachHint("text", "+13605550142")).toBe("…42");
  expect(reachHint("mail", "maren@example.com")).toBe("m…@e….com");
});

describe("the work as its customer sees it", () => {
  const by = (isShown: boolean) => ({ points: POINTS, before: [], specs: {}, isShown });
  const quoted = run(start(), {
    type: "addOwnJob",
    jobId: "01900000-0000-7000-8000-000000000001",
    title: "Pads",
    concernId: null,
  });
  const priced = run(quoted, {
    type: "addLine",
    jobId: "01900000-0000-7000-8000-000000000001",
    line: {
      id: "01900000-0000-7000-8000-000000000002",
      kind: "fee",
      description: "Pads",
      quantity: 1,
      priceCents: 9900,
    },
  });
  const found = run(priced, {
    type: "gradePoint",
    pointId: POINTS[0]?.id ?? "",
    grade: "act",
    measures: {},
    note: "thin",
  });

  it("says nothing of findings and prices before they were shown", () => {
    expect(workSeenByCustomer(found, by(false))).toMatchObject({ found: [], jobs: [], totalCents: null });
  });

  it("names what was found by its point, and what was answered, with what is owed", () => {
    const seen = workSeenByCustomer(yes(found), by(true));
    expect(seen.found).toEqual([
      {
        pointId: "pads",
        title: { en: "Pads", es: "Pads" },
        grade: "act",
        note: "thin",
        topic: null,
        pictures: [],
        measures: [],
      },
    ]);
    expect(seen.jobs.every(({ answer }) => answer === "yes")).toBe(true);
    expect(seen.dueCents).toBe(seen.totalCents);
    expect(JSON.stringify(seen)).not.toMatch(/cost|wage|markup/i);
  });

  it("shows the unsafe first, a measurement with its limit and the line of its wear, and what is fine", () => {
    const odometer = { type: "recordOdometer" as const, miles: 52000 };
    const oil = { type: "gradePoint" as const, pointId: "oil", grade: "unsafe" as const, measures: {}, note: "" };
    const pads = { ...oil, pointId: "pads", grade: "watch" as const, measures: { value: 4 } };
    const before = [{ pointId: "pads", key: "value", odometer: 40000, date: "2025-01-10", value: 8 }];
    const state = run(run(run(start(), odometer), pads), oil);
    const seen = workSeenByCustomer(state, { ...by(true), before });
    expect(seen.found.map(({ grade }) => grade)).toEqual(["unsafe", "watch"]);
    expect(seen.found[1]?.measures).toMatchObject([{ name: "Pad", value: 4, limit: 3, milesLeft: 3000 }]);
    expect(seen.found[1]?.measures[0]?.readings).toHaveLength(2);
    const fine = workSeenByCustomer(run(state, { ...oil, grade: "sound" }), by(true));
    expect(fine.fine).toEqual([{ en: "Oil", es: "Oil" }]);
  });

  it("shows what was answered even where the rest was not shown", () => {
    expect(workSeenByCustomer(yes(found), by(false)).jobs.length).toBeGreaterThan(0);
  });
});
