import { showsChange, type KnownChange } from "./showsChange";

const ZONE = "America/Los_Angeles";
const order: KnownChange = {
  kind: "workOrder",
  id: "order-1",
  revision: 3,
  customerIds: ["c1"],
  vehicleIds: ["v1"],
  isListed: true,
};
const graded: KnownChange = { ...order, isListed: false };
const moved: KnownChange = {
  kind: "visit",
  id: "visit-1",
  revision: 2,
  workOrderIds: ["order-1"],
  // The first is still Wednesday in the zone of the business.
  startsAt: ["2026-11-26T05:00:00.000Z", "2026-11-27T17:00:00.000Z"],
};
const shows = { visits: [{ workOrders: [{ id: "order-1" }] }] };
const listed = { id: "order-1" };
const page = { waitsFor: "work", count: 900, workOrders: [], next: { since: "2026-11-26T05:00:00.000Z", id: "z" } };
const empty = { visits: [] };

it.each<[string, KnownChange, unknown[], unknown, boolean]>([
  ["a grade asks no day again", graded, ["day", "2026-11-26"], shows, false],
  ["nor what is open", graded, ["openWork", {}], shows, false],
  ["but the car, whose odometer it may be", graded, ["car", "v1"], {}, true],
  ["no other car", graded, ["car", "v2"], {}, false],
  ["a price asks the day that shows it", order, ["day", "2026-11-26"], shows, true],
  ["no day that does not", order, ["day", "2026-11-26"], empty, false],
  ["what is open, where it may be new", order, ["openWork", {}], empty, true],
  ["a later page it is on", order, ["openWorkPage", {}], { groups: [{ ...page, workOrders: [listed] }] }, true],
  ["no later page it is not on", order, ["openWorkPage", {}], { groups: [page] }, false],
  ["but the last one, where it may be new", order, ["openWorkPage", {}], { groups: [{ ...page, next: null }] }, true],
  ["a grade asks no later page", graded, ["openWorkPage", {}], { groups: [{ ...page, next: null }] }, false],
  ["its customer", order, ["customer", "c1"], {}, true],
  ["no other one", order, ["customer", "c2"], {}, false],
  ["a search that found it", order, ["search", "oye"], shows, true],
  ["no settings", order, ["business"], shows, false],
  ["a visit asks the day it left", moved, ["day", "2026-11-25"], empty, true],
  ["the day it is on now", moved, ["day", "2026-11-27"], empty, true],
  ["no day between", moved, ["day", "2026-11-26"], empty, false],
  ["a customer whose visit it is", moved, ["customer", "c1"], { comingVisits: [{ id: "visit-1" }] }, true],
  ["what is being asked just now", graded, ["day", "2026-11-26"], undefined, true],
  ["all of an older server", { kind: "workOrder", id: "x", revision: 1 }, ["day", "2026-11-26"], empty, true],
  ["all for what only its id is known of", { id: "x", revision: 0 }, ["customer", "c9"], {}, true],
])("%s", (_name, change, key, answer, isShown) => {
  expect(showsChange(change, key, answer, ZONE)).toBe(isShown);
});
