import { bookedVisit } from "../testing/sampleWorkOrder";
import { Refusal } from "../commands/refusal";
import { applyVisitCommand } from "./applyVisitCommand";
import type { VisitCommand } from "./commands";
import { visitStanding } from "./standing";
import type { VisitState } from "./state";

const START = "2026-11-23T17:00:00.000Z";
const END = "2026-11-23T18:00:00.000Z";
const apply = (state: VisitState | null, command: VisitCommand, at = START): VisitState =>
  applyVisitCommand(state, command, { aggregateId: "visit", at });
const { place } = bookedVisit(START);
const book: VisitCommand = {
  type: "bookVisit",
  workOrderIds: ["order"],
  mechanicId: "odile",
  place,
  startsAt: START,
  endsAt: END,
  note: "",
  allowOverlap: false,
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
  ["cancelled when it is over", { ...bookedVisit(START), leftAt: END }, { type: "cancelVisit" }, "visit/over"],
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
  expect(visitStanding(apply(moved, { type: "cancelVisit" }))).toBe("cancelled");
});
