import { nextBatch } from "./nextBatch";
import type { Act, Pending, Refusal } from "./pending";

let seq = 0;
const item = (id: string, act: Act, refusal?: Refusal): Pending => ({
  ...act,
  id,
  at: "2026-11-26T17:00:00.000Z",
  by: "me",
  seq: ++seq,
  ...(refusal ? { refusal } : {}),
});
const miles = (id: string, target = "order-1", why?: Refusal): Pending =>
  item(id, { kind: "workOrder", target, command: { type: "recordOdometer", miles: 1 } }, why);
const customer = (id: string): Pending =>
  item(id, { kind: "customer", target: "c", body: { kind: "person", name: "Maren" } as never });
const car = item("car", { kind: "vehicle", target: "v", body: { customerId: "c" } as never });
const open = item("open", {
  kind: "workOrder",
  target: "order-9",
  command: { type: "openWorkOrder", customerId: "c", vehicleId: "v", concerns: [] },
});
const book = item("book", {
  kind: "visit",
  target: "visit-1",
  workOrderId: "order-9",
  command: { type: "bookVisit", workOrderIds: ["order-9"] } as never,
});
const refusal = { code: "x", words: "x" };
const ids = (items: readonly Pending[]): string[] => items.map(({ id }) => id);

it("takes the oldest and those behind it for the same thing, in order, past what is about others", () => {
  const line = [miles("1"), miles("2"), miles("3", "order-2"), miles("4")];
  expect(ids(nextBatch(line))).toEqual(["1", "2", "4"]);
  expect(ids(nextBatch(line, new Set(), 1))).toEqual(["1"]);
  expect(ids(nextBatch(line, new Set(["order-1"])))).toEqual(["3"]);
  expect(nextBatch([])).toEqual([]);
});

it("waits for what it names: customer, then car, then work order, then its commands and visit", () => {
  const line = [customer("new"), car, open, miles("m", "order-9"), book, miles("other")];
  expect(ids(nextBatch(line))).toEqual(["new"]);
  expect(ids(nextBatch(line.slice(1)))).toEqual(["car"]);
  expect(ids(nextBatch(line.slice(2)))).toEqual(["open", "m"]);
  expect(ids(nextBatch(line.slice(3)))).toEqual(["m"]);
  // The first is out or failing: what does not hang on it goes.
  expect(ids(nextBatch(line, new Set(["c"])))).toEqual(["other"]);
  expect(ids(nextBatch(line.slice(3), new Set(["order-9"])))).toEqual(["book"]);
});

it("goes past what was refused, but not to what that should have made", () => {
  expect(ids(nextBatch([miles("1", "order-1", refusal), miles("2")]))).toEqual(["2"]);
  expect(ids(nextBatch([{ ...customer("new"), refusal }, car, open, book, miles("other")]))).toEqual(["other"]);
});

it("asks for one customer at a time", () => {
  expect(ids(nextBatch([customer("a"), customer("b")]))).toEqual(["a"]);
});

it("two records become one behind what was done to either, and before what is done to either after", () => {
  const notes = (id: string, target: string): Pending =>
    item(id, { kind: "customerChange", target, was: { notes: "" }, becomes: { notes: id } });
  const merge = item("merge", { kind: "merge", target: "a", mergedId: "b", mergedName: "B" });
  const line = [notes("1", "b"), merge, notes("2", "a")];
  expect(ids(nextBatch(line))).toEqual(["1"]);
  expect(ids(nextBatch(line.slice(1)))).toEqual(["merge"]);
  expect(ids(nextBatch(line, new Set(["b"])))).toEqual([]);
});
