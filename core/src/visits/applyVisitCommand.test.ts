import { nothingArranged } from "./arranged";
import { bookedVisit } from "../testing/sampleWorkOrder";
import { Refusal } from "../commands/refusal";
import { applyVisitCommand } from "./applyVisitCommand";
import { visitCommand, type VisitCommand } from "./commands";
import { visitStanding } from "./standing";
import type { VisitState } from "./state";

const START = "2026-11-23T17:00:00.000Z";
const END = "2026-11-23T18:00:00.000Z";
const apply = (state: VisitState | null, command: VisitCommand, at = START): VisitState =>
  applyVisitCommand(state, command, { aggregateId: "visit", at });
const { place } = bookedVisit(START);
const book: Extract<VisitCommand, { type: "bookVisit" }> = {
  type: "bookVisit",
  workOrderIds: ["order"],
  mechanicId: "odile",
  place,
  startsAt: START,
  endsAt: END,
  note: "",
  allowOverlap: false,
  arranged: nothingArranged(),
  readyBy: null,
  anotherTripWhy: "",
  series: null,
};

it("goes from booked to over, each fact at its first time", () => {
  let visit = apply(null, book);
  expect(visitStanding(visit)).toBe("booked");
  visit = apply(visit, { type: "setOff", driveMinutes: 12 }, "2026-11-23T16:40:00.000Z");
  expect(visitStanding(visit)).toBe("driving");
  visit = apply(visit, { type: "arrive" }, "2026-11-23T16:55:00.000Z");
  visit = apply(visit, { type: "arrive" }, "2026-11-23T17:20:00.000Z");
  expect([visitStanding(visit), visit.arrivedAt]).toEqual(["onSite", "2026-11-23T16:55:00.000Z"]);
  visit = apply(visit, { type: "leave" }, END);
  expect([visitStanding(visit), visit.leftAt]).toEqual(["over", END]);
});

it("takes leaving as a fact even when nobody said they had come", () => {
  expect(apply(bookedVisit(START), { type: "leave" }, END)).toMatchObject({
    setOffAt: END,
    arrivedAt: END,
    leftAt: END,
  });
});

it.each<[string, VisitState | null, VisitCommand, string]>([
  ["booked twice", bookedVisit(START), book, "visit/exists"],
  ["that ends before it starts", null, { ...book, endsAt: START }, "visit/ends-before-start"],
  ["that lasts for years", null, { ...book, endsAt: "2199-01-01T00:00:00.000Z" }, "visit/too-long"],
  ["that is not there", null, { type: "arrive" }, "visit/not-found"],
  [
    "moved when it is over",
    { ...bookedVisit(START), leftAt: END },
    { type: "moveVisit", startsAt: START, endsAt: END, mechanicId: "m", allowOverlap: false },
    "visit/over",
  ],
  [
    "cancelled when it is over",
    { ...bookedVisit(START), leftAt: END },
    { type: "cancelVisit", why: null, words: "" },
    "visit/over",
  ],
])("refuses a visit %s", (_name, state, command, code) => {
  expect(() => apply(state, command)).toThrow(new Refusal(code));
});

it("is moved and cancelled", () => {
  const moved = apply(bookedVisit(START), {
    type: "moveVisit",
    startsAt: END,
    endsAt: "2026-11-23T19:00:00.000Z",
    mechanicId: "tomas",
    allowOverlap: false,
  });
  expect(moved).toMatchObject({ startsAt: END, mechanicId: "tomas" });
  expect(visitStanding(apply(moved, { type: "cancelVisit", why: null, words: "" }))).toBe("cancelled");
});

it("keeps why it was called off, and stands again when that was a mistake", () => {
  const off = apply(bookedVisit(START), { type: "cancelVisit", why: "nobodyThere", words: "rang twice" }, END);
  expect(off).toMatchObject({ cancelledAt: END, calledOff: { why: "nobodyThere", words: "rang twice" } });
  // A second word from a device that knew no reasons takes none away.
  expect(apply(off, { type: "cancelVisit", why: null, words: "" }).calledOff).toEqual(off.calledOff);
  const again = apply(off, { type: "reviveVisit", allowOverlap: true });
  expect([visitStanding(again), again.calledOff, again.overlapAllowed]).toEqual(["booked", null, true]);
});

it("stays at its time while it is locked, whatever else changes", () => {
  const move: VisitCommand = {
    type: "moveVisit",
    startsAt: END,
    endsAt: "2026-11-23T19:00:00.000Z",
    mechanicId: "m",
    allowOverlap: false,
  };
  const locked = apply(bookedVisit(START), { type: "lockVisit", isLocked: true });
  expect(() => apply(locked, move)).toThrow(new Refusal("visit/locked"));
  const promised = apply(locked, { type: "promiseReady", readyBy: END });
  expect(promised.readyBy).toBe(END);
  expect(apply(apply(promised, { type: "lockVisit", isLocked: false }), move).startsAt).toBe(END);
});

it("keeps what was agreed, and changes only what is said anew", () => {
  const asked = apply(null, { ...book, arranged: { ...nothingArranged(), starts: false, keyLies: "In the wheel" } });
  const more = apply(asked, { type: "arrangeVisit", arranged: { drives: true, heightInches: 84 }, note: "Dog" });
  expect(more.arranged).toMatchObject({ starts: false, keyLies: "In the wheel", drives: true, heightInches: 84 });
  expect(more.note).toBe("Dog");
  expect(apply(more, { type: "arrangeVisit", arranged: { starts: null } }).arranged.starts).toBeNull();
});

it("takes several cars on one trip, twenty at most and never none", () => {
  const two = apply(bookedVisit(START), { type: "takeAlong", workOrderId: "other" });
  expect(two.workOrderIds).toEqual(["order", "other"]);
  expect(apply(two, { type: "takeAlong", workOrderId: "other" }).workOrderIds).toHaveLength(2);
  const one = apply(two, { type: "leaveOut", workOrderId: "order" });
  expect(one.workOrderIds).toEqual(["other"]);
  expect(() => apply(one, { type: "leaveOut", workOrderId: "other" })).toThrow(new Refusal("visit/last-car"));
  const full = { ...two, workOrderIds: Array.from({ length: 20 }, (_, index) => `o${index}`) };
  expect(() => apply(full, { type: "takeAlong", workOrderId: "more" })).toThrow(new Refusal("visit/too-many-cars"));
  expect(() => apply({ ...two, leftAt: END }, { type: "takeAlong", workOrderId: "x" })).toThrow(
    new Refusal("visit/over"),
  );
});

it("reads commands of an app that knew less", () => {
  const { arranged: _a, readyBy: _r, anotherTripWhy: _w, series: _s, ...before } = book;
  const ids = {
    workOrderIds: ["0b52f6d4-7d0c-4a53-9a3c-2a3a5c1d0001"],
    mechanicId: "0b52f6d4-7d0c-4a53-9a3c-2a3a5c1d0002",
  };
  expect(visitCommand.parse({ ...before, ...ids })).toEqual({ ...book, ...ids });
  expect(visitCommand.parse({ type: "cancelVisit" })).toEqual({ type: "cancelVisit", why: null, words: "" });
});
