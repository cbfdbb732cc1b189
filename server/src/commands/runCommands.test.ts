import pg from "pg";
import { QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import type { BusinessView, OpenWorkView, WorkOrderView } from "@mechanon/contract";
import {
  findOrder,
  startTestServer,
  type HttpAnswer,
  type Outcomes,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
let orderId: string;
let mechanicId: string;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  orderId = (await findOrder(odile, "Caspian")).id;
  const { people } = (await odile.get<BusinessView>("/api/business")).body;
  mechanicId = people.find(({ name }) => name === "Odile Farrow")?.id ?? "";
});
afterAll(() => server?.stop());

const sent = (command: object, id: string = uuid(), at = new Date().toISOString()): object => ({ id, at, command });
const send = (commands: object[], to = orderId): Promise<HttpAnswer<Outcomes>> =>
  odile.post<Outcomes>(`/api/work-orders/${to}/commands`, { commands });
const odometer = (miles: number): object => ({ type: "recordOdometer", miles });
const note = (text: string): object => ({
  type: "addConcern",
  concernId: uuid(),
  text,
  kind: "wish",
  phraseId: null,
});
const book = (over: object = {}): object => ({
  type: "bookVisit",
  workOrderIds: [orderId],
  mechanicId,
  place: { street: "", town: "", region: "", postcode: "", latitude: null, longitude: null },
  startsAt: "2027-03-01T18:00:00.000Z",
  endsAt: "2027-03-01T19:00:00.000Z",
  note: "",
  allowOverlap: false,
  ...over,
});
const sendVisit = (id: string, command: object): Promise<HttpAnswer<Outcomes>> =>
  odile.post<Outcomes>(`/api/visits/${id}/commands`, { commands: [sent(command)] });

describe("a batch", () => {
  it("refuses alone what cannot be stored, and runs what is before and behind it", async () => {
    const nul = sent(note("zero \u0000 inside"));
    const half = sent(note("half a \ud800 pair"));
    const { body } = await send([
      sent(odometer(41_000)),
      nul,
      half,
      sent(note("heard \\u0000 as typed")),
      sent(odometer(41_007)),
    ]);
    expect(body.outcomes.map(({ outcome, refusal }) => refusal ?? outcome)).toEqual([
      "applied",
      "command/unreadable",
      "command/unreadable",
      "applied",
      "applied",
    ]);
    expect(body.change).toMatchObject({ state: { odometerMiles: { value: 41_007 } } });
    expect((await send([nul])).body.outcomes).toEqual([body.outcomes[1]]);
  });

  it("stores one by one where the database refuses one of them", async () => {
    const { db } = server;
    await db.query("alter table history add constraint no_hum check (body->>'text' is distinct from 'hums') not valid");
    const hum = sent(note("hums"));
    const { body } = await send([sent(odometer(42_000)), hum, sent(odometer(42_001))]);
    await db.query("alter table history drop constraint no_hum");
    expect(body.outcomes.map(({ outcome, refusal }) => refusal ?? outcome)).toEqual([
      "applied",
      "command/cannot-be-stored",
      "applied",
    ]);
    expect(body.change).toMatchObject({ state: { odometerMiles: { value: 42_001 } } });
    expect(body.change?.state.concerns).toBeUndefined();
  });

  it("answers a command that stands twice in it once, and another one under its id not at all", async () => {
    const id = uuid();
    const { body } = await send([sent(odometer(1), id), sent(odometer(1), id), sent(odometer(2), id)]);
    expect(body.outcomes.map(({ outcome, refusal }) => refusal ?? outcome)).toEqual([
      "applied",
      "applied",
      "command/id-reused",
    ]);
    expect(body.change).toMatchObject({ state: { odometerMiles: { value: 1 } } });
    expect((body.change?.revision ?? 0) - (body.change?.fromRevision ?? 0)).toBe(1);
  });

  it("believes no time before a device could have kept it, nor one far ahead", async () => {
    const { body } = await send([sent(odometer(9), uuid(), "0000-01-01T00:00:00.000Z")]);
    expect(Date.parse(body.change?.state.odometerMiles?.at ?? "")).toBeGreaterThan(Date.now() - 367 * 86_400_000);
    const ahead = await send([sent(odometer(9), uuid(), "9000-01-01T00:00:00.000Z")]);
    expect(Date.parse(ahead.body.change?.state.odometerMiles?.at ?? "")).toBeLessThan(Date.now() + 6 * 60_000);
  });

  it("answers what changed: nothing where all was refused, all of it where it was opened", async () => {
    expect((await send([sent({ type: "removeJob", jobId: uuid() })])).body.change).toBeNull();
    const id = uuid();
    const open = { type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] };
    const { body } = await send([sent(open)], id);
    expect(body.change).toMatchObject({ fromRevision: 0, revision: 1, parties: { customer: null, vehicle: null } });
    expect(body.change?.state).toMatchObject({ id, version: 3, customerId: null, vehicleId: null, jobs: [] });
  });

  it("takes a command as yesterday's app queued it", async () => {
    const { body } = await send([sent({ type: "receiveParts", lineIds: [uuid()] })]);
    expect(body.outcomes).toMatchObject([{ outcome: "applied" }]);
    expect(body.change?.state.received).toMatchObject([{ quantity: 1 }]);
  });
});

it("opens a work order before it is known whose it is and for which car, and takes both later", async () => {
  const id = uuid();
  const known = await findOrder(odile, "Petra");
  await send([sent({ type: "openWorkOrder", customerId: null, vehicleId: null, concerns: [] })], id);
  const open = await odile.get<{ customer: null; vehicle: null }>(`/api/work-orders/${id}`);
  expect(open.body).toMatchObject({ customer: null, vehicle: null });
  expect((await odile.get<{ customerName: string }>(`/api/work-orders/${id}/receipt`)).body.customerName).toBe("");
  const [listed] = (await odile.get<OpenWorkView>("/api/open-work?waitsFor=time")).body.groups;
  expect(listed?.workOrders.find((order) => order.id === id)).toMatchObject({
    customerId: null,
    customerName: "No customer yet",
    vehicleName: "No car yet",
  });
  const { body } = await send([sent({ type: "changeCustomer", customerId: known.customerId, keepAnswers: true })], id);
  expect(body.change?.parties?.customer?.name).toBe(known.customerName);
});

describe("one mechanic, one hour", () => {
  it("is booked once, however many book it in one moment", async () => {
    for (let round = 0; round < 6; round++) {
      const at = (hour: number): string => new Date(Date.UTC(2027, 4, 1 + round, hour)).toISOString();
      const answers = await Promise.all(
        Array.from({ length: 4 }, () => sendVisit(uuid(), book({ startsAt: at(18), endsAt: at(19) }))),
      );
      expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200]);
      const outcomes = answers.map(({ body }) => body.outcomes[0]);
      expect(outcomes.map((outcome) => outcome?.refusal ?? outcome?.outcome).sort()).toEqual([
        "applied",
        "visit/overlaps",
        "visit/overlaps",
        "visit/overlaps",
      ]);
    }
  });
  it("may be booked twice on purpose, and no third by accident", async () => {
    const span = { startsAt: "2027-06-01T18:00:00.000Z", endsAt: "2027-06-01T19:00:00.000Z" };
    const tries = [
      await sendVisit(uuid(), book(span)),
      await sendVisit(uuid(), book({ ...span, allowOverlap: true })),
      await sendVisit(uuid(), book(span)),
    ];
    expect(tries.map(({ body }) => body.outcomes[0]?.refusal)).toEqual([null, null, "visit/overlaps"]);
  });
});

it("costs no more statements than it needs, as many with a large library as with a small one", async () => {
  const { db } = server;
  const { id: businessId } = (await odile.get<BusinessView>("/api/business")).body;
  await db.query(
    `insert into library_jobs (business_id, id, position, job)
     select business_id, id || '-' || n, position + 100 * n, job || jsonb_build_object('id', id || '-' || n)
     from library_jobs cross join generate_series(1, 100) n where business_id = $1`,
    { bind: [businessId] },
  );
  const addJob = (libraryJobId: string, lines: number): object => ({
    type: "addJob",
    jobId: uuid(),
    libraryJobId,
    lineIds: Array.from({ length: lines }, () => uuid()),
    concernId: null,
    pointIds: [],
  });
  expect((await send([sent(addJob("wipers-99", 2))])).body.outcomes).toMatchObject([{ outcome: "applied" }]);
  const statements = await statementsOf(() => send([sent(addJob("diagnosis-3", 1))]));
  expect(statements.filter((text) => text.includes("library_jobs"))).toEqual([]);
  // The session, begin, what begins it, what stores it, commit.
  expect(statements.length).toBeLessThanOrEqual(12);
  expect(statements.some((text) => text.includes("store_work_order"))).toBe(true);
  const { body: business } = await odile.get<BusinessView>("/api/business");
  expect(JSON.stringify(business)).not.toContain("diagnosis-3");
  expect(business.libraryVersion).toBeGreaterThan(1);
  const library = await odile.get<{ version: number; library: unknown[] }>("/api/library");
  expect(library.body).toMatchObject({ version: business.libraryVersion });
  expect(library.body.library.length).toBeGreaterThan(1000);
});

it.each<[string, () => object, string]>([
  ["opening with customer and car", () => ({}), "open"],
  ["booking", () => book({ startsAt: "2027-07-01T18:00:00.000Z", endsAt: "2027-07-01T19:00:00.000Z" }), "visit"],
  ["setting off, which texts the customer", () => ({ type: "setOff", driveMinutes: 9 }), "visit"],
])("costs twelve statements at the most: %s", async (_name, command, kind) => {
  const known = (await odile.get<WorkOrderView>(`/api/work-orders/${orderId}`)).body;
  const statements = await statementsOf(() =>
    kind === "open"
      ? send(
          [sent({ type: "openWorkOrder", customerId: known.customer?.id, vehicleId: known.vehicle?.id, concerns: [] })],
          uuid(),
        )
      : sendVisit(countedVisit, command()),
  );
  expect(statements.length).toBeGreaterThan(4);
  // Too many are shown, for whoever has to find the one that came.
  expect(statements.length > 12 ? statements : []).toEqual([]);
});
const countedVisit = uuid();

/** What was asked of the database meanwhile, the queue's own questions left out. */
async function statementsOf(act: () => Promise<HttpAnswer<Outcomes>>): Promise<string[]> {
  const spied = jest.spyOn(pg.Client.prototype as { query: (...asked: unknown[]) => unknown }, "query");
  const { body } = await act();
  const asked = requestsOwn(spied.mock.calls.map(([statement], n) => [spied.mock.contexts[n], textOf(statement)]));
  spied.mockRestore();
  expect(body.outcomes).toMatchObject([{ outcome: "applied" }]);
  return asked;
}

/** Leaves out what the queue's workers asked meanwhile on connections of their own, their begin and commit with it. */
function requestsOwn(asked: [connection: unknown, text: string][]): string[] {
  const running = new Map<unknown, string[]>();
  const transactions: string[][] = [];
  for (const [connection, text] of asked) {
    const transaction = running.get(connection) ?? [];
    if (transaction.length === 0) transactions.push(transaction);
    transaction.push(text);
    if (/^commit/i.test(text)) running.delete(connection);
    else running.set(connection, transaction);
  }
  return transactions.filter((texts) => !texts.some(isQueues) && !texts.every(isFrame)).flat();
}
/** Around what is asked with prepared statements by others, nothing of a request's is left. */
const isFrame = (text: string): boolean => /^(begin|commit)/i.test(text);
const isQueues = (text: string): boolean =>
  !/insert into messages|with dropped as/.test(text) &&
  /graphile_worker|pg_try_advisory|from "?message|update "?message/i.test(text);

function textOf(asked: unknown): string {
  if (typeof asked === "string") return asked;
  return typeof asked === "object" && asked !== null && "text" in asked ? String(asked.text) : "";
}

it("keeps each command's id for good and its history by months", async () => {
  const { db } = server;
  const [counts] = await db.query<{ ids: number; told: number; parts: number }>(
    `select (select count(*)::int from command_ids) as ids, (select count(*)::int from history) as told,
       (select count(*)::int from pg_inherits where inhparent = 'history'::regclass) as parts`,
    { type: QueryTypes.SELECT },
  );
  expect(counts?.ids).toBe(counts?.told);
  expect(counts?.parts).toBeGreaterThanOrEqual(13);
});
