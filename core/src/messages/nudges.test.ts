import { isToCall, nudgeDue } from "./nudges";

it.each([
  ["on the day it was sent", "2026-11-01", null],
  ["before the first", "2026-11-02", null],
  ["on the first", "2026-11-03", 0],
  ["between them", "2026-11-05", 0],
  ["on the second", "2026-11-06", 1],
  ["long after, once more only the last", "2026-12-30", 1],
])("%s nudge %p is due", (_name, today, due) => {
  expect(nudgeDue("2026-11-01", [2, 5], today)).toBe(due);
});

it.each([
  ["while nudges are still to go", "2026-11-06", null, false],
  ["a day after the last", "2026-11-07", null, true],
  ["called, and put off to a later day", "2026-11-08", "2026-11-10", false],
  ["on the day it was put off to", "2026-11-10", "2026-11-10", true],
  ["where the quote was sent anew after the call", "2026-11-02", "2026-10-20", false],
])("somebody is to call, %s: %p", (_name, today, againOn, isDue) => {
  expect(isToCall({ sentOn: "2026-11-01", againOn }, [2, 5], today)).toBe(isDue);
});

it("calls the day after where nothing is sent by itself", () => {
  expect(isToCall({ sentOn: "2026-11-01", againOn: null }, [], "2026-11-02")).toBe(true);
});
