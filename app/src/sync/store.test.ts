import { fakeServer, problemReply, type Asked, type Reply } from "../testing/harness";
import { viewSample, visitSample } from "../testing/samples";
import {
  attachPhoto,
  dismissRefusal,
  dropPending,
  forgetViews,
  loadWorkOrder,
  overlapAnyway,
  resumeSync,
  retryNow,
  sendCommand,
  sendVisitCommand,
  useSync,
} from "./store";

const COMMANDS = "POST /api/work-orders/order-1/commands";
const settled = async (): Promise<void> => {
  for (let turn = 0; turn < 40; turn++) await Promise.resolve();
  await new Promise((resolve) => setTimeout(resolve, 0));
  for (let turn = 0; turn < 40; turn++) await Promise.resolve();
};
const outcomesOf = (asked: Asked): { id: string }[] => (asked.body as { commands: { id: string }[] }).commands;
const applied = (asked: Asked): Reply => ({
  body: {
    outcomes: outcomesOf(asked).map(({ id }) => ({ id, outcome: "applied", refusal: null, conflicts: [] })),
    change: {
      id: "order-1",
      number: 1001,
      fromRevision: 1,
      revision: 2,
      state: { odometerMiles: { value: 9, at: "2026-11-23T17:00:00.000Z" } },
      parties: null,
    },
  },
});

beforeEach(() => {
  jest.useRealTimers();
  useSync.setState({
    personId: "me",
    views: { "order-1": viewSample() },
    pending: [],
    photos: [],
    refused: [],
    stuck: null,
    held: new Set(),
    online: true,
    sending: false,
    failures: 0,
  });
});
afterEach(() => {
  // Ends the wait for a next try.
  useSync.setState({ pending: [], photos: [] });
  fakeServer({});
  retryNow();
});

it("sends a command and keeps the server's copy", async () => {
  const server = fakeServer({ [COMMANDS]: applied });
  sendCommand("order-1", { type: "recordOdometer", miles: 9 });
  expect(useSync.getState().pending).toHaveLength(1);
  await settled();
  expect(useSync.getState()).toMatchObject({ pending: [], online: true });
  expect(useSync.getState().views["order-1"]?.revision).toBe(2);
  expect(server.asked[0]?.body).toMatchObject({ commands: [{ command: { type: "recordOdometer", miles: 9 } }] });
});

it("sends what piled up together, in order", async () => {
  const server = fakeServer({});
  for (const miles of [1, 2, 3]) sendCommand("order-1", { type: "recordOdometer", miles });
  await settled();
  expect(useSync.getState()).toMatchObject({ online: false, failures: 1 });
  expect(useSync.getState().pending).toHaveLength(3);
  const back = fakeServer({ [COMMANDS]: applied });
  retryNow();
  await settled();
  expect(server.asked.length).toBeGreaterThan(0);
  expect(back.asked.map((asked) => outcomesOf(asked).length)).toEqual([3]);
  expect(useSync.getState()).toMatchObject({ pending: [], online: true, failures: 0 });
});

it("keeps the same ids over a lost answer, so that nothing is done twice", async () => {
  const lost = fakeServer({ [COMMANDS]: "down" });
  sendCommand("order-1", { type: "recordOdometer", miles: 9 });
  await settled();
  const back = fakeServer({ [COMMANDS]: applied });
  retryNow();
  await settled();
  expect(outcomesOf(back.asked[0]!).map(({ id }) => id)).toEqual(outcomesOf(lost.asked[0]!).map(({ id }) => id));
});

it("tells what was refused until it is understood", async () => {
  fakeServer({
    [COMMANDS]: (asked) => ({
      body: {
        outcomes: outcomesOf(asked).map(({ id }) => ({
          id,
          outcome: "refused",
          refusal: "job/finished",
          conflicts: [],
        })),
        change: null,
      },
    }),
  });
  sendCommand("order-1", { type: "recordOdometer", miles: 9 });
  await settled();
  const [refused] = useSync.getState().refused;
  expect(refused).toMatchObject({ target: "order-1", code: "job/finished" });
  dismissRefusal(refused?.id ?? "");
  expect(useSync.getState().refused).toEqual([]);
});

it("stops and asks the person when the server will not take it at all", async () => {
  fakeServer({ [COMMANDS]: problemReply(422, "request/invalid", "It does not fit.") });
  sendCommand("order-1", { type: "recordOdometer", miles: 9 });
  sendCommand("order-1", { type: "recordOdometer", miles: 10 });
  await settled();
  expect(useSync.getState()).toMatchObject({ stuck: "It does not fit." });
  expect(useSync.getState().pending).toHaveLength(2);
  fakeServer({ [COMMANDS]: applied });
  await dropPending();
  await settled();
  expect(useSync.getState()).toMatchObject({ stuck: null, pending: [] });
});

it.each([
  ["takes nothing for one", problemReply(422, "request/invalid", "It does not fit.")],
  ["fails on one", problemReply(500, "server/failed", "It failed.")],
])("passes on to the next work order when the server %s", async (_name, refusing) => {
  const server = fakeServer({ [COMMANDS]: refusing, "POST /api/work-orders/order-2/commands": applied });
  sendCommand("order-1", { type: "recordOdometer", miles: 9 });
  sendCommand("order-2", { type: "recordOdometer", miles: 10 });
  await settled();
  await settled();
  expect(server.asked.map(({ path }) => path)).toContain("/api/work-orders/order-2/commands");
  expect(useSync.getState().pending.map(({ target }) => target)).toEqual(["order-1"]);
});

it("sends only the work of who is signed in", async () => {
  fakeServer({});
  sendCommand("order-1", { type: "recordOdometer", miles: 9 });
  await settled();
  const server = fakeServer({ [COMMANDS]: applied });
  await resumeSync("somebody else", () => undefined);
  await settled();
  expect(server.asked).toEqual([]);
  expect(useSync.getState().pending).toHaveLength(1);
  await resumeSync("me", () => undefined);
  await settled();
  expect(useSync.getState().pending).toEqual([]);
});

it("takes a visit in as the server has it, and tells the lists once", async () => {
  const changed = jest.fn();
  const visit = visitSample({ id: "v1", arrivedAt: "2026-11-23T17:02:00.000Z" });
  const server = fakeServer({
    "POST /api/visits/v1/commands": (asked) => ({
      body: {
        outcomes: outcomesOf(asked).map(({ id }) => ({ id, outcome: "applied", refusal: null, conflicts: [] })),
        visit,
        revision: 4,
      },
    }),
  });
  await resumeSync("me", changed);
  sendVisitCommand("v1", "order-1", { type: "arrive" });
  await settled();
  expect(useSync.getState().views["order-1"]?.visits).toEqual([visit]);
  expect(changed.mock.calls).toEqual([[{ id: "v1", revision: 4 }]]);
  expect(server.asked).toHaveLength(1);
});

it("loads the whole where others changed it meanwhile", async () => {
  fakeServer({
    [COMMANDS]: (asked) => ({
      body: {
        outcomes: outcomesOf(asked).map(({ id }) => ({ id, outcome: "applied", refusal: null, conflicts: [] })),
        change: { id: "order-1", number: 1001, fromRevision: 6, revision: 7, state: {}, parties: null },
      },
    }),
    "GET /api/work-orders/order-1": { body: viewSample({ revision: 7 }) },
  });
  sendCommand("order-1", { type: "recordOdometer", miles: 9 });
  await settled();
  expect(useSync.getState().views["order-1"]?.revision).toBe(7);
});

it("sends a photo before the command that names it, and gives up on a file that is none", async () => {
  const server = fakeServer({ [COMMANDS]: applied });
  const replies: Reply[] = [problemReply(422, "photo/unreadable", "This file is no picture.")];
  const inner = globalThis.fetch;
  globalThis.fetch = ((address: string, init: RequestInit) => {
    if (!address.startsWith("/api/photos/")) return inner(address, init);
    server.asked.push({ method: "POST", path: "/api/photos", body: null, key: null });
    const reply = replies.shift() as { status: number; body: unknown };
    return Promise.resolve({ ok: false, status: reply.status, json: () => Promise.resolve(reply.body) } as Response);
  }) as typeof fetch;
  await attachPhoto("order-1", "oil", new Blob(["x"]));
  await settled();
  expect(server.asked[0]?.path).toBe("/api/photos");
  expect(useSync.getState().photos).toEqual([]);
  expect(useSync.getState().stuck).toBe("This file is no picture.");
});

it("does not take an older copy for a newer one", async () => {
  fakeServer({ "GET /api/work-orders/order-1": { body: viewSample({ revision: 3 }) } });
  await loadWorkOrder("order-1");
  fakeServer({ "GET /api/work-orders/order-1": { body: viewSample({ revision: 2 }) } });
  await loadWorkOrder("order-1");
  expect(useSync.getState().views["order-1"]?.revision).toBe(3);
});

it("gives a refused booking again on purpose, once", async () => {
  fakeServer({});
  const times = { startsAt: "2026-11-24T17:00:00.000Z", endsAt: "2026-11-24T18:00:00.000Z", mechanicId: "m" };
  const command = { type: "moveVisit" as const, ...times, allowOverlap: false };
  const item = {
    by: "me",
    kind: "visit" as const,
    id: "1",
    at: times.startsAt,
    target: "v1",
    workOrderId: "order-1",
    command,
  };
  const refused = { id: "1", target: "order-1", code: "visit/overlaps" as const, item };
  useSync.setState({ refused: [refused] });
  overlapAnyway(refused);
  await settled();
  expect(useSync.getState().refused).toEqual([]);
  expect(useSync.getState().pending).toMatchObject([{ target: "v1", command: { ...command, allowOverlap: true } }]);
});

it("loads a work order, and forgets all when somebody else signs in", async () => {
  fakeServer({ "GET /api/work-orders/order-1": { body: viewSample() } });
  await loadWorkOrder("order-1");
  expect(useSync.getState().views["order-1"]?.number).toBe(1001);
  forgetViews();
  expect(useSync.getState().views).toEqual({});
});
