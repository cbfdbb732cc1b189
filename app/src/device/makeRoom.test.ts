import "fake-indexeddb/auto";
import type { Pending } from "../sync/pending";
import { viewSample } from "../testing/samples";
import { DeviceDatabase } from "./deviceDatabase";
import { makeRoom } from "./makeRoom";

it("lets go of the oldest copies, never of what waits to be sent", async () => {
  const database = new DeviceDatabase("me");
  const day = (n: number): string => `2026-11-${String(n).padStart(2, "0")}T08:00:00.000Z`;
  for (let n = 1; n <= 5; n++) {
    await database.views.put({ id: `order-${n}`, view: viewSample(), asOf: day(n), usedAt: day(n) });
    await database.answers.put({ key: `answer-${n}`, answer: n, asOf: day(n) });
    const sentAt = n === 2 ? null : day(n);
    await database.photos.put({ id: `photo-${n}`, blob: new Blob(), sentAt, refusal: null, usedAt: day(n) });
  }
  await database.answers.put({ key: '["library"]', answer: [], asOf: day(1) });
  const waits: Pending = {
    by: "me",
    kind: "workOrder",
    id: "1",
    at: day(9),
    target: "order-1",
    command: { type: "recordOdometer", miles: 1 },
  };
  await database.outbox.add(waits);
  expect(await makeRoom(database, { views: 2, answers: 2, photos: 2 })).toBe(2 + 3 + 2);
  expect(await database.views.toCollection().primaryKeys()).toEqual(["order-1", "order-4", "order-5"]);
  expect(await database.answers.toCollection().primaryKeys()).toEqual(['["library"]', "answer-4", "answer-5"]);
  expect(await database.photos.toCollection().primaryKeys()).toEqual(["photo-2", "photo-4", "photo-5"]);
  expect(await database.outbox.count()).toBe(1);
  expect(await makeRoom(database)).toBe(0);
});
