import "fake-indexeddb/auto";
import { Blob as NodeBlob } from "node:buffer";
import { webcrypto } from "node:crypto";
import { fakeServer } from "../testing/harness";
import type { Pending } from "../sync/pending";
import { DeviceDatabase } from "./deviceDatabase";
import { keepKey, sealDevice, unsealDevice } from "./seal";

const KEY = Buffer.alloc(32, 7).toString("base64");
const keyServer = (key = KEY) => fakeServer({ "GET /api/session/device-key": { body: { key } } });
const act = (id: string): Pending => ({
  by: "me",
  kind: "workOrder",
  id,
  at: "2026-11-26T17:00:00.000Z",
  target: "order-1",
  command: { type: "recordOdometer", miles: 61_240 },
});
const photo = (id: string, sentAt: string | null) => ({
  id,
  blob: new Blob([`bytes of ${id}`], { type: "image/jpeg" }),
  sentAt,
  refusal: null,
  usedAt: "2026-11-26T17:00:00.000Z",
});
const isPlain = (value: unknown): value is object =>
  typeof value === "object" && value !== null && Object.getPrototypeOf(value) === Object.prototype;
let database: DeviceDatabase;
beforeAll(() => {
  Object.defineProperty(globalThis, "crypto", { value: webcrypto, configurable: true });
  Object.defineProperty(globalThis, "Blob", { value: NodeBlob, configurable: true });
  // That of the runner knows no pictures; what is kept here is flat.
  const copied = (value: unknown): unknown => (isPlain(value) ? { ...value } : value);
  Object.defineProperty(globalThis, "structuredClone", { value: copied, configurable: true });
});
beforeEach(async () => {
  database = new DeviceDatabase(`p${Math.random()}`);
  await database.outbox.bulkAdd([act("1"), act("2")]);
  await database.photos.bulkPut([photo("sent", "2026-11-26T17:01:00.000Z"), photo("unsent", null)]);
  await database.answers.put({ key: '["business"]', answer: {}, asOf: "2026-11-26T17:00:00.000Z" });
});
afterEach(() => database.delete());

it("leaves nothing readable behind, and gives it back to its person in the order it was done", async () => {
  keyServer();
  await keepKey(database);
  // Without a signal when it comes to signing out.
  fakeServer({});
  expect(await sealDevice(database)).toBe(3);
  for (const table of [database.outbox, database.photos, database.answers, database.keys])
    expect(await table.count()).toBe(0);
  const sealed = await database.sealed.toArray();
  expect(sealed).toHaveLength(2);
  expect(sealed.map(({ bytes }) => Buffer.from(bytes).toString("latin1")).join()).not.toMatch(
    /61240|recordOdometer|bytes of/,
  );
  keyServer();
  await unsealDevice(database);
  expect((await database.outbox.orderBy("seq").toArray()).map(({ id }) => id)).toEqual(["1", "2"]);
  const [kept] = await database.photos.toArray();
  expect(kept).toMatchObject({ id: "unsent", sentAt: null });
  expect(await kept?.blob.text()).toBe("bytes of unsent");
  expect(await database.sealed.count()).toBe(0);
});

it("opens to nobody else's key, and stays for the one it is", async () => {
  keyServer();
  await keepKey(database);
  await sealDevice(database);
  keyServer(Buffer.alloc(32, 8).toString("base64"));
  await expect(unsealDevice(database)).rejects.toThrow();
  expect([await database.sealed.count(), await database.outbox.count()]).toEqual([2, 0]);
});

it("keeps in the person's own database what it has no key to seal", async () => {
  fakeServer({});
  expect(await sealDevice(database)).toBe(3);
  expect((await database.photos.toArray()).map(({ id }) => id)).toEqual(["unsent"]);
  expect([await database.outbox.count(), await database.answers.count()]).toEqual([2, 0]);
});
