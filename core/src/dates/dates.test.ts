import { addDays, dayOf, instantAt, minuteOfDay, showAge, showDay, showMoment, showTime } from "./dates";

const ZONE = "America/Los_Angeles";

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
