import "fake-indexeddb/auto";
import { IDBFactory } from "fake-indexeddb";
import Dexie from "dexie";
import { fakeServer, problemReply, type Asked, type Reply } from "../testing/harness";
import { customerSample, sheetSample, viewSample, visitSample, messageSample } from "../testing/samples";
import { closeDevice, device, openDevice } from "../device/device";
import { give, sendCommand, sendVisitCommand } from "./give";
import { emptyLine } from "./line";
import { attachPhoto, letGoOfPhoto, sendPhotoAgain } from "./photoActs";
import type { Pending } from "./pending";
import { changeMade, hangingOn, letGo, overlapAnyway, tryAgain } from "./refusals";
import { resumeSync } from "./resume";
import { flush, retryNow, stopSending } from "./sender";
import { useSync } from "./state";
import { leaveTabs } from "./tabs";
import { forgetViews, keepAnswered, loadWorkOrder, showKept } from "./views";

const COMMANDS = "POST /api/work-orders/order-1/commands";
const state = () => useSync.getState();
const idsOf = (items: readonly { id: string }[]): string[] => items.map(({ id }) => id);
const outcomesOf = (asked: Asked): { id: string }[] => (asked.body as { commands: { id: string }[] }).commands;
const outcomes = (asked: Asked, refusal: string | null = null) =>
  outcomesOf(asked).map(({ id }) => ({ id, outcome: refusal ? "refused" : "applied", refusal, conflicts: [] }));
const applied = (asked: Asked): Reply => ({
  body: {
    outcomes: outcomes(asked),
    change: {
      id: "order-1",
      number: 1001,
      fromRevision: state().views["order-1"]?.revision ?? 1,
      revision: (state().views["order-1"]?.revision ?? 1) + 1,
      state: { odometerMiles: { value: 9, at: "2026-11-23T17:00:00.000Z" } },
      parties: null,
    },
  },
});
const sentTo = ({ asked }: { asked: Asked[] }): string[] =>
  asked.filter(({ method }) => method === "POST").map(({ path }) => path);
const WHOLE = { "GET /api/work-orders/order-1": { body: viewSample({ revision: 2 }) } };
const refusedBy = (refusal: string) => (asked: Asked) => ({
  body: { outcomes: outcomes(asked, refusal), change: null },
});

/** Until what was begun has come to its end: nothing is being sent, and what waits, waits. */
async function until(done: () => boolean | Promise<boolean>): Promise<void> {
  for (let turn = 0; turn < 400; turn++) {
    if (!state().sending && (await done())) return;
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  throw new Error(`never: ${JSON.stringify({ ...state(), views: Object.keys(state().views) })}`);
}
const sent = () => until(() => state().pending.length === 0);
const kept = async () => (await device()?.outbox.orderBy("seq").toArray()) ?? [];

/** The page is loaded anew: nothing of it is left but what the device keeps. */
async function reload(person = "me", changed = () => undefined): Promise<void> {
  stopSending();
  closeDevice();
  emptyLine();
  forgetViews();
  useSync.setState({ personId: null, photos: [], online: true, sending: false, failures: 0, halted: null });
  await resumeSync(person, changed);
}

beforeEach(async () => {
  globalThis.indexedDB = new IDBFactory();
  Dexie.dependencies.indexedDB = globalThis.indexedDB;
  closeDevice();
  fakeServer({});
  await reload();
  useSync.setState({ views: { "order-1": viewSample() } });
});
afterEach(() => {
  stopSending();
  useSync.setState({ personId: null });
});
afterAll(leaveTabs);

it("sends a command, keeps the server's copy, and forgets the command", async () => {
  const server = fakeServer({ [COMMANDS]: applied });
  sendCommand("order-1", { type: "recordOdometer", miles: 9 });
  expect(state().pending).toHaveLength(1);
  await sent();
  expect(state().views["order-1"]?.revision).toBe(2);
  expect(server.asked[0]?.body).toMatchObject({ commands: [{ command: { type: "recordOdometer", miles: 9 } }] });
  expect(await kept()).toEqual([]);
  expect((await device()?.views.get("order-1"))?.view.revision).toBe(2);
});

it("shows a work order again after a reload without the server, with what was done to it", async () => {
  fakeServer({ "GET /api/work-orders/order-1": { body: viewSample() } });
  await loadWorkOrder("order-1");
  fakeServer({});
  sendCommand("order-1", { type: "recordOdometer", miles: 9 });
  await until(async () => (await kept()).length === 1);
  await reload();
  expect(await showKept("order-1")).toBe(true);
  expect(state().views["order-1"]?.number).toBe(1001);
  expect(state().pending).toMatchObject([{ command: { miles: 9 } }]);
});

it("sends what piled up together, in order, under the same ids as before the answer was lost", async () => {
  const lost = fakeServer({ [COMMANDS]: "down" });
  for (const miles of [1, 2, 3]) sendCommand("order-1", { type: "recordOdometer", miles });
  await until(() => !state().online);
  const given = idsOf(state().pending);
  const back = fakeServer({ [COMMANDS]: applied });
  retryNow();
  await sent();
  expect(back.asked.map((asked) => idsOf(outcomesOf(asked)))).toEqual([given]);
  expect(given.slice(0, 1)).toEqual(idsOf(outcomesOf(lost.asked[0]!)).slice(0, 1));
  expect(state()).toMatchObject({ online: true, failures: 0 });
});

it("two tabs without the server both keep what was done in them, and it goes out once", async () => {
  fakeServer({});
  sendCommand("order-1", { type: "recordOdometer", miles: 1 });
  await until(async () => (await kept()).length === 1);
  // The other tab: modules of its own, the same browser.
  await jest.isolateModulesAsync(async () => {
    /* eslint-disable @typescript-eslint/no-require-imports */
    const other = {
      ...(require("./resume") as typeof import("./resume")),
      ...(require("./give") as typeof import("./give")),
      ...(require("./sender") as typeof import("./sender")),
      ...(require("./state") as typeof import("./state")),
      ...(require("./tabs") as typeof import("./tabs")),
    };
    (require("dexie") as { default: typeof Dexie }).default.dependencies.indexedDB = globalThis.indexedDB;
    /* eslint-enable */
    await other.resumeSync("me", () => undefined);
    expect(other.useSync.getState().pending).toMatchObject([{ command: { miles: 1 } }]);
    other.sendCommand("order-1", { type: "recordOdometer", miles: 2 });
    await until(async () => (await kept()).length === 2);
    await until(() => state().pending.length === 2);
    other.stopSending();
    other.useSync.setState({ personId: null });
    other.leaveTabs();
  });
  const server = fakeServer({ [COMMANDS]: applied });
  retryNow();
  await sent();
  expect(server.asked.flatMap((asked) => outcomesOf(asked))).toMatchObject([
    { command: { miles: 1 } },
    { command: { miles: 2 } },
  ]);
});

describe("what was refused", () => {
  it("stands with its reason until the person says what becomes of it, over a reload, too", async () => {
    fakeServer({ [COMMANDS]: refusedBy("job/finished") });
    sendCommand("order-1", { type: "removeJob", jobId: "j" });
    await sent();
    await reload();
    const [refused] = state().refused;
    expect(refused).toMatchObject({ target: "order-1", refusal: { code: "job/finished" } });
    await letGo(refused!);
    expect([state().refused, await kept()]).toEqual([[], []]);
  });

  it("goes again as an act of its own", async () => {
    fakeServer({ [COMMANDS]: refusedBy("job/finished") });
    sendCommand("order-1", { type: "removeJob", jobId: "j" });
    await until(() => state().refused.length === 1);
    const [refused] = state().refused;
    const server = fakeServer({ [COMMANDS]: applied });
    await tryAgain(refused!);
    await sent();
    expect(state().refused).toEqual([]);
    const [again] = outcomesOf(server.asked[0]!);
    expect(again).toMatchObject({ command: { type: "removeJob" } });
    expect(again?.id).not.toBe(refused?.id);
  });

  it("a booking is given again on purpose, over another one", async () => {
    const times = { startsAt: "2026-11-24T17:00:00.000Z", endsAt: "2026-11-24T18:00:00.000Z", mechanicId: "m" };
    const MOVE = "POST /api/visits/v1/commands";
    fakeServer({
      [MOVE]: (asked) => ({ body: { outcomes: outcomes(asked, "visit/overlaps"), visit: null, revision: 0 } }),
    });
    sendVisitCommand("v1", "order-1", { type: "moveVisit", ...times, allowOverlap: false });
    await until(() => state().refused.length === 1);
    const server = fakeServer({
      [MOVE]: (asked) => ({ body: { outcomes: outcomes(asked), visit: visitSample({ id: "v1" }), revision: 2 } }),
    });
    await overlapAnyway(state().refused[0]!);
    await sent();
    expect(outcomesOf(server.asked[0]!)).toMatchObject([{ command: { ...times, allowOverlap: true } }]);
  });

  it.each([
    ["takes nothing for one", problemReply(422, "request/invalid", "It does not fit."), 1],
    ["fails on one", problemReply(500, "server/failed", "It failed."), 0],
  ])("passes on to the next work order when the server %s", async (_name, refusing, refused) => {
    const server = fakeServer({ [COMMANDS]: refusing, "POST /api/work-orders/order-2/commands": applied });
    sendCommand("order-1", { type: "recordOdometer", miles: 9 });
    sendCommand("order-2", { type: "recordOdometer", miles: 10 });
    await until(() => state().pending.every(({ target }) => target === "order-1"));
    expect(server.asked.map(({ path }) => path)).toContain("/api/work-orders/order-2/commands");
    expect(state().refused).toHaveLength(refused);
    expect([...state().pending, ...state().refused].map(({ target }) => target)).toEqual(["order-1"]);
  });

  it("takes along what hangs on it: a customer who was not taken has no car and no work order", async () => {
    fakeServer({ "POST /api/customers": problemReply(403, "rights/missing", "You may not exempt from taxes.") });
    await give([
      { kind: "customer", target: "c", id: "c", body: { name: "Maren" } },
      { kind: "vehicle", target: "v", id: "v", body: { customerId: "c" } as never },
      {
        kind: "workOrder",
        target: "w",
        command: { type: "openWorkOrder", customerId: "c", vehicleId: "v", concerns: [] },
      },
      { kind: "workOrder", target: "w", command: { type: "recordOdometer", miles: 4 } },
      { kind: "workOrder", target: "elsewhere", command: { type: "recordOdometer", miles: 4 } },
    ]);
    await until(() => state().refused.length === 1);
    expect(state().pending.map(({ target }) => target)).toEqual(["v", "w", "w", "elsewhere"]);
    expect(hangingOn(state().refused[0]!).map(({ target }) => target)).toEqual(["v", "w", "w"]);
    await letGo(state().refused[0]!);
    expect((await kept()).map(({ target }) => target)).toEqual(["elsewhere"]);
  });
});

it("sends a customer it was told no about as they are now, in their old place", async () => {
  fakeServer({ "POST /api/customers": problemReply(422, "request/invalid", "The phone is none.") });
  await give([
    { kind: "customer", target: "c", id: "c", body: { name: "Maren", notes: "as typed" } },
    {
      kind: "workOrder",
      target: "w",
      command: { type: "openWorkOrder", customerId: "c", vehicleId: null, concerns: [] },
    },
  ]);
  await until(() => state().refused.length === 1);
  const server = fakeServer({
    "POST /api/customers": { status: 201, body: customerSample({ id: "c" }) },
    "POST /api/customers/likely": { body: { likely: [] } },
    "POST /api/work-orders/w/commands": (asked) => ({ body: { outcomes: outcomes(asked), change: null } }),
  });
  const change = (made: Pending): Pending =>
    made.kind === "customer" ? { ...made, body: { ...made.body, name: "Maren Oyelaran" } } : made;
  expect(await changeMade("c", change)).toBe(true);
  await sent();
  expect(server.asked[0]?.body).toMatchObject({ id: "c", name: "Maren Oyelaran", notes: "as typed" });
  expect(sentTo(server).at(-1)).toBe("/api/work-orders/w/commands");
  // What is at the server is changed there.
  expect(await changeMade("c", change)).toBe(false);
});

it("goes on with the car that is kept already, whatever it was called here", async () => {
  const server = fakeServer({
    "POST /api/vehicles": {
      status: 409,
      body: { ...(problemReply(409, "vehicle/vin-taken", "Kept.") as { body: object }).body, keptId: "kept-car" },
    },
    "POST /api/work-orders/w/commands": (asked) => ({ body: { outcomes: outcomes(asked), change: null } }),
  });
  await give([
    { kind: "vehicle", target: "new-car", id: "new-car", body: { customerId: "c" } as never },
    {
      kind: "workOrder",
      target: "w",
      command: { type: "openWorkOrder", customerId: "c", vehicleId: "new-car", concerns: [] },
    },
  ]);
  await sent();
  expect(server.asked.at(-1)?.body).toMatchObject({ commands: [{ command: { vehicleId: "kept-car" } }] });
});

it("puts right what a first try of yesterday's app kept, when its words changed since", async () => {
  const server = fakeServer({
    "POST /api/customers": problemReply(409, "request/key-reused", "Used."),
    "GET /api/customers/c": { body: sheetSample({ customer: customerSample({ id: "c", version: 3 }) }) },
    "PATCH /api/customers/c": { body: customerSample({ id: "c", version: 4 }) },
    "POST /api/customers/likely": { body: { likely: [] } },
  });
  await give([{ kind: "customer", target: "c", id: "c", body: { name: "Ottilie Brandt-Ames", keepTwice: true } }]);
  await sent();
  const change = server.asked.find(({ method }) => method === "PATCH")?.body;
  expect(change).toMatchObject({ name: "Ottilie Brandt-Ames", version: 3 });
  expect(change).not.toHaveProperty("keepTwice");
});

it("says who may be kept twice once they are kept, and holds up nothing by it", async () => {
  const twin = { customer: { id: "old", name: "M. Oye" }, likenesses: ["phone"], cars: [] };
  const customer = { id: "c", name: "Maren Oye" };
  fakeServer({
    "POST /api/customers": { status: 201, body: { ...customerSample(), ...customer } },
    "POST /api/customers/likely": {
      body: { likely: [{ ...twin, customer: { ...customerSample(), ...twin.customer } }] },
    },
    "POST /api/work-orders/w/commands": (asked) => ({ body: { outcomes: outcomes(asked), change: null } }),
  });
  await give([
    { kind: "customer", target: "c", id: "c", body: { name: "Maren Oye" } },
    {
      kind: "workOrder",
      target: "w",
      command: { type: "openWorkOrder", customerId: "c", vehicleId: null, concerns: [] },
    },
  ]);
  await sent();
  expect(state().refused).toMatchObject([{ target: "c", refusal: { code: "customer/kept-twice", isDone: true } }]);
  expect(state().refused[0]?.refusal?.words).toContain("M. Oye");
  await letGo(state().refused[0]!);
  expect(await kept()).toEqual([]);
});

describe("whose work it is", () => {
  it("sends only the work of who is signed in, and keeps another's for them", async () => {
    fakeServer({});
    sendCommand("order-1", { type: "recordOdometer", miles: 9 });
    await until(() => !state().online);
    const server = fakeServer({ [COMMANDS]: applied, ...WHOLE });
    await reload("tomas");
    expect([sentTo(server), state().pending]).toEqual([[], []]);
    await reload("me");
    await sent();
    expect(sentTo(server)).toEqual(["/api/work-orders/order-1/commands"]);
  });

  it("goes on with what is of whoever signs in while another's answer is on its way, and shows them nothing of it", async () => {
    let answer: (reply: Reply) => void = () => undefined;
    const waiting = new Promise<Reply>((resolve) => (answer = resolve));
    fakeServer({});
    await reload("tomas");
    sendCommand("order-2", { type: "recordOdometer", miles: 2 });
    await until(() => !state().online);
    await reload("me");
    const server = fakeServer({
      "POST /api/work-orders/order-2/commands": (asked) => ({ body: { outcomes: outcomes(asked), change: null } }),
      ...WHOLE,
    });
    const inner = globalThis.fetch;
    globalThis.fetch = (async (address: string, init: RequestInit) => {
      if (address !== "/api/work-orders/order-1/commands") return inner(address, init);
      const reply = await waiting;
      return { ok: true, status: 200, json: () => Promise.resolve((reply as { body: object }).body) } as Response;
    }) as typeof fetch;
    useSync.setState({ views: { "order-1": viewSample() } });
    sendCommand("order-1", { type: "recordOdometer", miles: 9 });
    await new Promise((resolve) => setTimeout(resolve, 20));
    const [mine] = state().pending;
    const switching = resumeSync("tomas", () => undefined);
    await new Promise((resolve) => setTimeout(resolve, 20));
    answer(applied({ method: "POST", path: "", key: null, body: { commands: [mine!] } }));
    await switching;
    await until(() => sentTo(server).length === 1 && !state().sending);
    expect(sentTo(server)).toEqual(["/api/work-orders/order-2/commands"]);
    expect(state().views["order-1"]).toBeUndefined();
    expect(await device()?.views.get("order-1")).toBeUndefined();
  });

  it.each(["session/missing", "session/of-another", "app/outdated"])("waits for the person: %s", async (code) => {
    const server = fakeServer({
      [COMMANDS]: () => {
        // Wanted once more while it is on its way, it goes out no second time.
        void flush();
        return problemReply(code === "session/missing" ? 401 : 409, code, "Sign in.");
      },
    });
    sendCommand("order-1", { type: "recordOdometer", miles: 9 });
    await until(() => state().halted !== null && !state().sending);
    expect(state()).toMatchObject({ halted: "Sign in.", refused: [] });
    expect([state().pending.length, sentTo(server).length]).toEqual([1, 1]);
  });
  it("newer than the server waits by itself, says so, and goes out when the server has caught up", async () => {
    fakeServer({ [COMMANDS]: problemReply(503, "app/ahead", "The server is older. It is kept.") });
    sendCommand("order-1", { type: "recordOdometer", miles: 9 });
    await until(() => state().halted !== null && !state().sending);
    expect(state()).toMatchObject({ halted: "The server is older. It is kept.", online: true, refused: [] });
    fakeServer({ [COMMANDS]: applied });
    await flush();
    expect(state()).toMatchObject({ halted: null, pending: [] });
  });
  it("told of something this app does not know yet reads the words, and asks the person", async () => {
    fakeServer({ [COMMANDS]: problemReply(409, "parts/of-tomorrow", "Parts of tomorrow cannot be had today.") });
    sendCommand("order-1", { type: "recordOdometer", miles: 9 });
    await until(() => state().refused.length === 1);
    expect(state().refused[0]?.refusal).toEqual({
      code: "request/unknown",
      words: "Parts of tomorrow cannot be had today.",
    });
  });
});

it("takes a visit in as the server has it, and tells the lists once", async () => {
  const changed = jest.fn();
  const visit = visitSample({ id: "v1", arrivedAt: "2026-11-23T17:02:00.000Z" });
  const server = fakeServer({
    "POST /api/visits/v1/commands": (asked) => ({ body: { outcomes: outcomes(asked), visit, revision: 4 } }),
  });
  await reload("me", changed);
  useSync.setState({ views: { "order-1": viewSample() } });
  sendVisitCommand("v1", "order-1", { type: "arrive" });
  await sent();
  expect(state().views["order-1"]?.visits).toEqual([visit]);
  expect(changed.mock.calls).toEqual([[{ id: "v1", revision: 4 }]]);
  expect(sentTo(server)).toEqual(["/api/visits/v1/commands"]);
});

it("loads the whole where others changed it meanwhile, and takes no older copy for a newer one", async () => {
  fakeServer({
    [COMMANDS]: (asked) => ({
      body: {
        outcomes: outcomes(asked),
        change: { id: "order-1", number: 1001, fromRevision: 6, revision: 7, state: {}, parties: null },
      },
    }),
    "GET /api/work-orders/order-1": { body: viewSample({ revision: 7 }) },
  });
  sendCommand("order-1", { type: "recordOdometer", miles: 9 });
  await sent();
  expect(state().views["order-1"]?.revision).toBe(7);
  fakeServer({ "GET /api/work-orders/order-1": { body: viewSample({ revision: 2 }) } });
  await loadWorkOrder("order-1");
  expect(state().views["order-1"]?.revision).toBe(7);
  await until(async () => (await device()?.views.get("order-1"))?.view.revision === 7);
});

it("opens a copy that yesterday's app kept, brought forward", async () => {
  const { version: _none, ...before } = viewSample().state;
  const view = { ...viewSample(), state: { ...before, version: 1 } } as never;
  await device()?.views.put({
    id: "order-1",
    view,
    asOf: "2026-11-20T08:00:00.000Z",
    usedAt: "2026-11-20T08:00:00.000Z",
  });
  forgetViews();
  expect(await showKept("order-1")).toBe(true);
  expect(state().views["order-1"]?.state.version).toBe(viewSample().state.version);
  expect((await device()?.views.get("order-1"))?.usedAt).not.toBe("2026-11-20T08:00:00.000Z");
});

describe("photos", () => {
  const blob = () => new Blob(["x"], { type: "image/jpeg" });
  /** Answers to photos, in turn; the last one stays. */
  function photoServer(...replies: Reply[]): { asked: string[] } {
    const asked: string[] = [];
    fakeServer({ [COMMANDS]: applied });
    const inner = globalThis.fetch;
    globalThis.fetch = ((address: string, init: RequestInit) => {
      if (!address.startsWith("/api/photos/")) return inner(address, init);
      asked.push(address);
      const reply = replies.length > 1 ? replies.shift() : replies[0];
      if (!reply || reply === "down") return Promise.reject(new TypeError("network"));
      const { status = 200, body } = reply;
      return Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) } as Response);
    }) as typeof fetch;
    return { asked };
  }

  it("one that is refused holds up nothing, keeps its place, and goes again or is let go", async () => {
    const unreadable = problemReply(422, "photo/unreadable", "This file is no picture.");
    const server = photoServer(unreadable, { body: null });
    await attachPhoto("order-1", { of: "point", id: "oil" }, blob());
    await attachPhoto("order-1", { of: "point", id: "oil" }, blob());
    await until(() => state().photos.length === 1 && state().pending.length === 0);
    const [refused] = state().photos;
    expect(refused?.refusal).toBe("This file is no picture.");
    await sendPhotoAgain(refused!.id);
    await until(() => state().photos.length === 0);
    expect(server.asked).toHaveLength(3);
    photoServer(unreadable);
    await attachPhoto("order-1", { of: "point", id: "oil" }, blob());
    await until(() => state().photos[0]?.refusal !== null && state().pending.length === 0);
    const [bad] = state().photos;
    await letGoOfPhoto(bad!);
    expect(state().pending).toMatchObject([{ command: { type: "removePhoto", photoId: bad!.id } }]);
    await sent();
    expect([state().photos, await device()?.photos.get(bad!.id)]).toEqual([[], undefined]);
  });

  it("waits over a reload, and stays on the device when it was sent", async () => {
    photoServer("down");
    await attachPhoto("order-1", { of: "point", id: "oil" }, blob());
    await until(() => !state().online);
    await reload();
    const [{ id } = { id: "" }] = state().photos;
    photoServer({ body: null });
    retryNow();
    await until(() => state().photos.length === 0);
    expect((await device()?.photos.get(id))?.sentAt).not.toBeNull();
  });
});

it("says that the phone is full, and sends what is only in memory", async () => {
  fakeServer({});
  const database = await openDevice("me");
  if (!database) throw new Error("it opens");
  jest.spyOn(globalThis, "reportError").mockImplementation(() => undefined);
  const full = jest.spyOn(database.outbox, "bulkAdd").mockRejectedValue(new DOMException("full", "QuotaExceededError"));
  sendCommand("order-1", { type: "recordOdometer", miles: 9 });
  await until(() => state().keeping === "full");
  expect(state().pending).toHaveLength(1);
  full.mockRestore();
  fakeServer({ [COMMANDS]: applied });
  retryNow();
  await sent();
});

it("says that the browser keeps nothing, and works as long as the page is open", async () => {
  jest.spyOn(globalThis, "reportError").mockImplementation(() => undefined);
  const opened = jest.spyOn(Dexie.prototype, "open").mockRejectedValue(new Error("refused"));
  closeDevice();
  fakeServer({ [COMMANDS]: applied, ...WHOLE });
  await reload();
  expect(state().keeping).toBe("none");
  sendCommand("order-1", { type: "recordOdometer", miles: 9 });
  await sent();
  opened.mockRestore();
});

it("does not go back to a copy that was asked for before what was done, and came after it", async () => {
  const arrived = visitSample({ id: "v1", arrivedAt: "2026-11-23T17:02:00.000Z" });
  const before = viewSample({ visits: [visitSample({ id: "v1", arrivedAt: null })] });
  const told = messageSample();
  let answer: (reply: Response) => void = () => undefined;
  fakeServer({
    "POST /api/visits/v1/commands": (asked) => ({ body: { outcomes: outcomes(asked), visit: arrived, revision: 4 } }),
  });
  const quick = globalThis.fetch;
  const json = (body: object): Response => ({ ok: true, status: 200, json: () => Promise.resolve(body) }) as Response;
  let loads = 0;
  globalThis.fetch = ((address: string, init: RequestInit) => {
    if (address !== "/api/work-orders/order-1") return quick(address, init);
    loads += 1;
    // The text that went out with it changes no revision, either.
    return loads === 1
      ? new Promise<Response>((resolve) => (answer = resolve))
      : Promise.resolve(json({ ...before, visits: [arrived], messages: [told] }));
  }) as typeof fetch;
  useSync.setState({ views: { "order-1": before } });
  const loading = loadWorkOrder("order-1");
  await new Promise((resolve) => setTimeout(resolve, 5));
  sendVisitCommand("v1", "order-1", { type: "arrive" });
  await sent();
  answer(json(before));
  await loading;
  expect(state().views["order-1"]).toMatchObject({ visits: [arrived], messages: [told] });
  expect(loads).toBe(2);
});

it("does not take a text for waiting that it heard was sent while the answer was on its way", async () => {
  const text = messageSample({ text: "Your receipt" });
  const waiting = viewSample({ messages: [{ ...text, status: "waiting" }] });
  const gone = viewSample({ messages: [{ ...text, status: "sent" }] });
  const server = fakeServer({ "GET /api/work-orders/order-1": { body: gone } });
  await keepAnswered(async () => {
    await new Promise((resolve) => setTimeout(resolve, 5));
    await loadWorkOrder("order-1");
    return { workOrder: waiting };
  });
  expect(state().views["order-1"]?.messages[0]?.status).toBe("sent");
  // Without a signal by now, what the deed answered is shown.
  fakeServer({});
  await keepAnswered(async () => {
    await new Promise((resolve) => setTimeout(resolve, 5));
    useSync.setState({ asOf: { "order-1": new Date().toISOString() } });
    return { workOrder: waiting };
  });
  expect([state().views["order-1"]?.messages[0]?.status, server.asked.length]).toEqual(["waiting", 2]);
});
