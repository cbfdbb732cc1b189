import { testZone } from "./testZone";

it.each([
  ["2026-11-27T05:59:00Z", "America/Los_Angeles"],
  ["2026-11-27T06:00:00Z", "Pacific/Honolulu"],
  ["2026-11-27T07:59:00Z", "Pacific/Honolulu"],
  ["2026-11-27T08:00:00Z", "America/Los_Angeles"],
])("at %s tests are two hours from midnight in %s", (now, zone) => {
  expect(testZone(new Date(now))).toBe(zone);
});
