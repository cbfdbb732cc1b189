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
    measured: null,
    note: "thin",
  });

  it("says nothing of findings and prices before they were shown", () => {
    expect(workSeenByCustomer(found, POINTS, false)).toMatchObject({ found: [], jobs: [], totalCents: null });
  });

  it("names what was found by its point, and what was answered, with what is owed", () => {
    const seen = workSeenByCustomer(yes(found), POINTS, true);
    expect(seen.found).toEqual([{ title: POINTS[0]?.title, grade: "act", note: "thin", photoIds: [] }]);
    expect(seen.jobs.every(({ answer }) => answer === "yes")).toBe(true);
    expect(seen.dueCents).toBe(seen.totalCents);
    expect(JSON.stringify(seen)).not.toMatch(/cost|wage|markup/i);
  });

  it("shows what was answered even where the rest was not shown", () => {
    expect(workSeenByCustomer(yes(found), POINTS, false).jobs.length).toBeGreaterThan(0);
  });
});
