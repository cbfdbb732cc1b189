import { tidyName } from "../customers/personName";
import { readPhone, showPhone } from "../customers/phone";
import { gradeFromMeasurement, openPoints } from "../inspection/grade";
import { offersForConcerns, offersForFindings } from "../inspection/offers";
import { driveMinutes, milesBetween } from "../schedule/driveMinutes";
import { LIBRARY, POINTS, run, start } from "../testing/sampleWorkOrder";
import { REFUSAL_CODES } from "../workOrders/refusals";
import { addDays, dayOf, instantAt, minuteOfDay, showAge, showDay, showMoment, showTime } from "./dates";
import { onMyWayText, receiptText } from "./messages";
import { readMoney, showMoney } from "./money";
import { nextActLabel } from "../workOrders/nextActLabel";
import { conflictWords, refusalWords } from "../workOrders/refusals";
import { showVehicle } from "./vehicle";

const ZONE = "America/Los_Angeles";

describe("money", () => {
  it.each([
    [123456, "$1,234.56"],
    [5, "$0.05"],
    [-1050, "−$10.50"],
    [0, "$0.00"],
  ])("%p reads %p", (cents, words) => expect(showMoney(cents)).toBe(words));
  it.each([
    ["12", 1200],
    ["12.5", 1250],
    ["$1,234.56", 123456],
    [" 0.07 ", 7],
    ["1.005", null],
    ["-3", null],
    ["", null],
    ["1,23", null],
    ["ten", null],
    ["9".repeat(20), null],
  ])("%p is %p cents", (typed, cents) => expect(readMoney(typed)).toBe(cents));
});

describe("dates", () => {
  it("belong to the business's zone, not to the device's", () => {
    expect(dayOf("2026-11-24T03:00:00Z", ZONE)).toBe("2026-11-23");
    expect(showTime("2026-11-23T17:30:00Z", ZONE)).toBe("9:30 am");
    expect(minuteOfDay("2026-11-23T17:30:00Z", ZONE)).toBe(570);
    expect(showMoment("2026-11-23T17:30:00Z", ZONE, "2026-11-23")).toBe("Today, Mon Nov 23, 9:30 am");
  });
  it("keep the wall clock on the day the clocks change", () => {
    expect(instantAt("2026-11-01", 540, ZONE)).toBe("2026-11-01T17:00:00.000Z");
    expect(instantAt("2026-10-31", 540, ZONE)).toBe("2026-10-31T16:00:00.000Z");
  });
  it("are named when they are near", () => {
    expect([0, 1, -1, 2].map((days) => showDay(addDays("2026-11-23", days), "2026-11-23"))).toEqual([
      "Today, Mon Nov 23",
      "Tomorrow, Tue Nov 24",
      "Yesterday, Sun Nov 22",
      "Wed Nov 25",
    ]);
  });
  it.each([
    ["2026-11-23T09:40:00Z", "20 min"],
    ["2026-11-22T10:00:00Z", "24 h"],
    ["2026-11-20T10:00:00Z", "3 days"],
    ["2026-11-24T10:00:00Z", "0 min"],
  ])("since %p is %p", (since, age) => expect(showAge(since, "2026-11-23T10:00:00Z")).toBe(age));
});

describe("phones", () => {
  it.each([
    ["(541) 555-0123", "+15415550123"],
    ["541.555.0123", "+15415550123"],
    ["1 541 555 0123", "+15415550123"],
    ["+44 20 7946 0018", "+442079460018"],
    ["12", null],
    ["", null],
    ["call me", null],
  ])("%p is %p", (typed, stored) => expect(readPhone(typed)?.number ?? null).toBe(stored));
  it("are shown as the country writes them", () => {
    expect(showPhone("+15415550123")).toBe("(541) 555-0123");
    expect(showPhone("+442079460018")).toBe("+44 20 7946 0018");
  });
});

it.each([
  ["maren o'dell-reyes", "Maren O'Dell-Reyes"],
  ["Maren deVries", "Maren deVries"],
  ["  ANNA  b ", "ANNA b"],
  ["نور", "نور"],
  ["zoë ñandú", "Zoë Ñandú"],
])("name %p becomes %p", (typed, name) => expect(tidyName(typed)).toBe(name));

it.each([
  [{ year: 2019, make: "HONDA", model: "Accord" }, "2019 Honda Accord"],
  [{ year: null, make: "BMW", model: null }, "BMW"],
  [{ year: null, make: null, model: null }, "Car without a name"],
  [{ year: 2015, make: "MERCEDES-BENZ", model: "C" }, "2015 Mercedes-Benz C"],
])("car %p", (car, name) => expect(showVehicle(car)).toBe(name));

describe("inspection", () => {
  const [pads, oil] = POINTS;
  it.each([
    [2.9, "act"],
    [3, "watch"],
    [4.9, "watch"],
    [5, "sound"],
  ])("%p mm is %p", (measured, grade) => expect(pads && gradeFromMeasurement(pads, measured)).toBe(grade));
  it("has no grade where nothing is measured, and knows what is open", () => {
    expect(oil && gradeFromMeasurement(oil, 1)).toBeNull();
    const state = run(start(), { type: "gradePoint", pointId: "pads", grade: "act", measured: 2, note: "" });
    expect(openPoints(POINTS, state.findings).map(({ id }) => id)).toEqual(["oil"]);
  });
  it("offers the cure for a bad point and the answer to a concern, once", () => {
    const state = run(start(), { type: "gradePoint", pointId: "pads", grade: "act", measured: 2, note: "" });
    expect(offersForFindings(state, LIBRARY)).toMatchObject([{ pointId: "pads", libraryJob: { id: "brakes" } }]);
    expect(offersForConcerns(state, LIBRARY)).toMatchObject([{ concernId: "c1" }]);
    const onQuote = run(state, {
      type: "addJob",
      jobId: "j",
      libraryJobId: "brakes",
      lineIds: ["x", "y"],
      concernId: "c1",
      pointId: "pads",
    });
    expect([...offersForFindings(onQuote, LIBRARY), ...offersForConcerns(onQuote, LIBRARY)]).toEqual([]);
  });
});

it("estimates a drive from coordinates, or says that it cannot", () => {
  const a = { latitude: 48.0412, longitude: -122.6188 };
  const b = { latitude: 48.0093, longitude: -122.5871 };
  expect(milesBetween(a, b)).toBeCloseTo(2.64, 1);
  expect(driveMinutes(a, b)).toBe(10);
  expect(driveMinutes(a, { latitude: null, longitude: null })).toBeNull();
});

it("has words for every refusal, mark and act", () => {
  for (const code of REFUSAL_CODES) expect(refusalWords(code).length).toBeGreaterThan(20);
  expect(conflictWords({ code: "payment/more-than-owed", detail: "1250" })).toContain("12.50");
  expect(nextActLabel({ act: "takePayment", dueCents: 18000 })).toBe("Take $180.00");
  expect(nextActLabel({ act: "finishJobs", jobs: 1 })).toBe("Finish 1 job");
  expect(nextActLabel({ act: "nothing" })).toBeNull();
  expect(onMyWayText("Larkhaven Driveway Garage", "Odile", 12)).toContain("12 minutes");
  expect(receiptText("B", 100, "http://x/r/t")).toContain("http://x/r/t");
});
