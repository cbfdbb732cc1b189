import { bookedVisit } from "../testing/sampleWorkOrder";
import { isLateCallOff } from "./isLateCallOff";
import { slipsPast } from "./slipsPast";
import type { VisitState } from "./state";

const START = "2026-11-23T17:00:00.000Z";
const at = (minutes: number): string => new Date(Date.parse(START) + minutes * 60_000).toISOString();

it.each<[string, Partial<VisitState>, boolean]>([
  ["by us", { calledOff: { why: "us", words: "" }, cancelledAt: at(-10) }, false],
  ["without a reason", { calledOff: null, cancelledAt: at(-10) }, false],
  [
    "by them, a day and a minute before",
    { calledOff: { why: "customer", words: "" }, cancelledAt: at(-24 * 60 - 1) },
    false,
  ],
  [
    "by them, a day less a minute before",
    { calledOff: { why: "customer", words: "" }, cancelledAt: at(-24 * 60 + 1) },
    true,
  ],
  ["with nobody there", { calledOff: { why: "nobodyThere", words: "" }, cancelledAt: at(20) }, true],
])("a visit called off %s", (_name, over, isLate) => {
  expect(isLateCallOff({ ...bookedVisit(START), ...over }, 24)).toBe(isLate);
});

it.each<[string, Partial<VisitState>, string, number, number]>([
  ["nothing promised", { readyBy: null }, at(300), 0, 0],
  ["in time", { readyBy: at(60) }, at(-60), 0, 0],
  ["begins late for want of the stop before", { readyBy: at(60) }, at(-60), 25, 25],
  ["its time has come and nobody is there", { readyBy: at(70) }, at(30), 0, 20],
  ["arrived early", { readyBy: at(60), arrivedAt: at(-20) }, at(0), 0, 0],
  ["runs over", { readyBy: at(60), arrivedAt: at(-20) }, at(75), 0, 15],
  ["is over", { readyBy: at(60), arrivedAt: at(0), leftAt: at(90) }, at(120), 0, 0],
])("what was promised where it %s", (_name, over, now, lateBefore, minutes) => {
  expect(slipsPast({ ...bookedVisit(START), ...over }, now, lateBefore)).toBe(minutes);
});
