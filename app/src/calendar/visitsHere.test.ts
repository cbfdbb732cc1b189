import type { DayVisit } from "@mechanon/contract";
import type { Pending } from "../sync/pending";
import { visitSample } from "../testing/samples";
import { visitsHere } from "./visitsHere";

const listed: DayVisit[] = [
  { visit: visitSample({ id: "a", mechanicId: "me" }), mechanicName: "Odile", workOrders: [] },
];
const moved = { startsAt: "2026-11-24T20:00:00.000Z", endsAt: "2026-11-24T21:00:00.000Z", mechanicId: "tomas" };
const pending: Pending[] = [
  {
    id: "1",
    kind: "visit",
    target: "a",
    workOrderId: "w",
    at: "2026-11-24T18:00:00.000Z",
    by: "me",
    protocol: 3,
    command: { type: "moveVisit", ...moved, allowOverlap: false },
  },
];
const names = new Map([["tomas", "Tomas"]]);
const NOTHING = { visits: {}, at: 0 };

it("shows a visit where it was dropped while that waits, and until a newer list is there", () => {
  const here = visitsHere(listed, pending, { names, shown: NOTHING, listedAt: 1 });
  expect(here).toMatchObject([{ visit: moved, mechanicName: "Tomas" }]);
  const visit = here[0]?.visit;
  if (!visit) throw new Error("no visit");
  const shown = { visits: { a: visit }, at: 5 };
  expect(visitsHere(listed, [], { names, shown, listedAt: 4 })).toMatchObject([
    { visit: moved, mechanicName: "Tomas" },
  ]);
  expect(visitsHere(listed, [], { names, shown, listedAt: 6 })).toEqual(listed);
});

it("leaves a visit as it is that takes no such command any more", () => {
  const locked = listed.map((stop) => ({ ...stop, visit: { ...stop.visit, isLocked: true } }));
  expect(visitsHere(locked, pending, { names, shown: NOTHING, listedAt: 1 })).toEqual(locked);
});
