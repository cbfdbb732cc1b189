import "fake-indexeddb/auto";
import { createStore, entries, get, set } from "idb-keyval";
import { nothingArranged } from "@mechanon/core";
import { upgradePending } from "../sync/upgradePending";
import { withPending } from "../sync/withPending";
import type { Pending } from "../sync/pending";
import keptPending from "../testing/kept/pending.v1.json";
import { LIBRARY_SAMPLE, SETTINGS_SAMPLE, viewSample } from "../testing/samples";
import { bringForward } from "./bringForward";
import { DeviceDatabase } from "./deviceDatabase";

// Kept as the version before wrote it.
const kept = keptPending as Pending[];
const attach = (photoId: string, by: string): Pending =>
  ({
    by,
    kind: "workOrder",
    id: `attach-${photoId}`,
    at: "2026-11-24T17:03:00.000Z",
    target: "order-1",
    command: { type: "attachPhoto", pointId: "oil", photoId },
  }) as unknown as Pending;

it("takes over what yesterday's app queued of this person, with its photos, once; another's stays", async () => {
  const queue = createStore("mechanon-queue", "queue");
  const photos = createStore("mechanon-photos", "photos");
  await set("pending", [...kept, attach("mine", "me"), attach("theirs", "tomas")], queue);
  for (const id of ["mine", "theirs"]) await set(id, { bytes: id }, photos);
  const database = new DeviceDatabase("me");
  await bringForward(database, "me");
  await bringForward(database, "me");
  const line = await database.outbox.orderBy("seq").toArray();
  expect(line.map(({ id }) => id)).toEqual([...kept.map(({ id }) => id), "attach-mine"]);
  expect(await database.photos.toArray()).toMatchObject([{ id: "mine", sentAt: null, refusal: null }]);
  expect((await get<Pending[]>("pending", queue))?.map(({ by }) => by)).toEqual(["tomas"]);
  expect((await entries(photos)).map(([id]) => id)).toEqual(["theirs"]);
  const context = {
    actor: { id: "me", name: "Me", rights: [] },
    settings: SETTINGS_SAMPLE,
    library: LIBRARY_SAMPLE,
  };
  expect(withPending(viewSample(), line, context).state.received).toMatchObject([{ quantity: 1 }]);
});

it("reads what was queued as it is queued now", () => {
  expect(upgradePending(kept).map((item) => (item.kind === "workOrder" ? item.command : item.kind))).toEqual([
    { type: "recordOdometer", miles: 88120 },
    { type: "receiveParts", items: [{ lineId: "01900000-0000-7000-8000-000000000001", quantity: null }] },
    "visit",
  ]);
});

it("reads a booking that was queued before a visit kept what was agreed", () => {
  const [, , left] = kept;
  if (left?.kind !== "visit") throw new Error("the sample has no visit");
  const id = "01900000-0000-7000-8000-000000000001";
  const place = { street: "", town: "", region: "", postcode: "", latitude: null, longitude: null };
  const times = { startsAt: "2026-11-24T17:00:00.000Z", endsAt: "2026-11-24T18:00:00.000Z" };
  const before = {
    type: "bookVisit",
    workOrderIds: [id],
    mechanicId: id,
    place,
    ...times,
    note: "",
    allowOverlap: false,
  };
  // As yesterday's app wrote it, whose types are not those of today.
  const queued = JSON.parse(
    JSON.stringify([
      { ...left, command: before },
      { ...left, command: { type: "cancelVisit" } },
    ]),
  ) as Pending[];
  expect(upgradePending(queued).map((item) => ("command" in item ? item.command : item))).toEqual([
    { ...before, arranged: nothingArranged(), readyBy: null, anotherTripWhy: "", series: null },
    { type: "cancelVisit", why: null, words: "" },
  ]);
});

it("takes over what was kept of the business, and leaves the rest of the browser's storage alone", async () => {
  const business = { id: "b", libraryVersion: 7 };
  localStorage.setItem("mechanon-kept-business", JSON.stringify(business));
  localStorage.setItem("mechanon-kept-library", '{"version": 7, "lib');
  localStorage.setItem("mechanon-kept-me", "{}");
  const database = new DeviceDatabase("me");
  await bringForward(database, "me");
  expect((await database.answers.get('["business"]'))?.answer).toEqual(business);
  expect((await database.answers.get('["library"]'))?.answer).toBeUndefined();
  expect(Object.keys(localStorage)).toEqual(["mechanon-kept-me"]);
});
