import { readFileSync } from "node:fs";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";
import pg from "pg";
import { upgradeWorkOrder, workOrderState, visitState } from "@mechanon/core";
import type { Customer, DayVisit, WorkOrderView } from "@mechanon/contract";
import { connect } from "../db/connect";
import { migrate } from "../db/migrate";
import { rebuildLedger } from "../ledger/rebuildLedger";
import {
  openOrders,
  sendCommand,
  startTestServer,
  until,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";
import { dropDatabase, makeDatabase, urlsOf } from "../testing/databases";

/** A database as the commit before this storage left it: the demo, and money, orders and photos on top. */
const SAMPLE = join(__dirname, "..", "testing", "samples", "before-ground.sql.gz");
const REFUSED = "01900000-0000-7000-8000-0000000000f1";
const APPLIED = "01900000-0000-7000-8000-0000000000f2";
const LOST_CHARGE = "01900000-0000-7000-8000-00000000c0de";
const LOST_ORDER = "01900000-0000-7000-8000-00000000ad0e";

let server: TestServer;
let client: pg.Client;
let odile: TestPerson;
let name: string;
let before: Record<string, number>;
let places: string[];
let placesAfter: string[];
let states: { id: string; state: Record<string, unknown[]> }[];
const count = async (sql: string): Promise<number> =>
  (await client.query<{ count: number }>(`select count(*)::int as count from ${sql}`)).rows[0]?.count ?? 0;

/** Where each large row stands on disk: one that was written anew is elsewhere. */
const placesOf = async (): Promise<string[]> =>
  (
    await client.query<{ place: string }>(
      `select 'order ' || id || ctid as place from work_orders union all select 'visit ' || id || ctid from visits
       union all select 'command ' || id || ctid from commands union all select 'photo ' || id || ctid from photos order by 1`,
    )
  ).rows.map(({ place }) => place);

beforeAll(async () => {
  name = await makeDatabase("old");
  const urls = urlsOf(name);
  client = new pg.Client({ connectionString: urls.DATABASE_OWNER_URL });
  await client.connect();
  // What only psql understands is left out.
  const sql = gunzipSync(readFileSync(SAMPLE))
    .toString("utf8")
    .replace(/^\\.*$/gm, "");
  await client.query(sql);
  await client.query("set search_path to public");
  before = {
    commands: await count("commands"),
    settled: await count(
      "(select id from part_orders where status <> 'asked' union all select id from card_charges where status <> 'asked') kept",
    ),
    customers: await count("customers"),
  };
  places = await placesOf();
  const db = connect(urls.DATABASE_OWNER_URL);
  await migrate(db, urls.DATABASE_OWNER_URL);
  await db.close();
  placesAfter = await placesOf();
  states = (await client.query<{ id: string; state: Record<string, unknown[]> }>("select id, state from work_orders"))
    .rows;
  server = await startTestServer({ ...urls, SETTLE_AFTER_MS: "60000" });
  odile = await server.signIn();
});
afterAll(async () => {
  await client?.end();
  await server?.stop();
  await dropDatabase(name);
});

it("is migrated without a work order, visit, command or photo written anew: a start does not wait for them", () => {
  expect(places.length).toBeGreaterThan(200);
  expect(placesAfter).toEqual(places);
});

it("opens with everything that was in it", async () => {
  const open = await openOrders(odile);
  expect(open.length).toBeGreaterThan(5);
  for (const { id, state } of states) {
    const { body } = await odile.get<WorkOrderView & { customer: Customer }>(`/api/work-orders/${id}`);
    expect(workOrderState.parse(body.state)).toEqual(body.state);
    for (const list of ["concerns", "findings", "jobs", "approvals", "payments", "conflicts"] as const)
      expect([id, body.state[list]]).toEqual([id, upgradeWorkOrder(state)[list]]);
    expect(body.state.orders).toHaveLength(state.orders?.length ?? 0);
    for (const visit of body.visits) expect(visitState.parse(visit)).toEqual(visit);
  }
  const day = await odile.get<{ visits: DayVisit[] }>("/api/day?date=2026-12-20");
  expect(day.body.visits).toHaveLength(2);
  expect(await count("customers")).toBe(before.customers);
});

it("answers a retry of an old command as it was answered, before and after its history has moved", async () => {
  const retry = async (): Promise<unknown[]> => {
    const open =
      (await client.query<{ id: string }>("select id from work_orders where number = 1012")).rows[0]?.id ?? "";
    const sent = [
      await sendCommand(odile, open, { type: "recordOdometer", miles: 98765 }, APPLIED),
      await sendCommand(odile, open, { type: "recordOdometer", miles: 1 }, APPLIED),
      await sendCommand(odile, open, { type: "recordOdometer", miles: 1 }, REFUSED),
    ];
    return sent.map(({ body }) => body.outcomes[0]);
  };
  const expected = [
    { id: APPLIED, outcome: "applied" },
    { outcome: "refused", refusal: "command/id-reused" },
    { outcome: "refused", refusal: "command/id-reused" },
  ];
  expect(await retry()).toMatchObject(expected);
  await until(
    () => count("behind where done_at is null"),
    (left) => left === 0,
    600,
  );
  expect(await retry()).toMatchObject(expected);
});

it("has brought everything forward behind the server, and lost nothing of it", async () => {
  await until(
    () => count("behind where done_at is not null"),
    (done) => done === 7,
    600,
  );
  expect(await count("commands")).toBe(0);
  expect(await count("command_ids")).toBeGreaterThanOrEqual(before.commands ?? 0);
  expect(await count("history")).toBeGreaterThanOrEqual(before.commands ?? 0);
  expect(await count("external_requests where status in ('done', 'refused')")).toBeGreaterThanOrEqual(
    before.settled ?? 0,
  );
  expect(await count("visits where left_at is null and state->>'leftAt' is not null")).toBe(0);
  expect(await count("photos where bytes is not null or size is null")).toBe(0);
  const photo = await odile.get("/api/photos/01900000-0000-7000-8000-00000000f070");
  expect([photo.status, photo.headers.get("content-type")]).toEqual([200, "image/png"]);
  expect(await count("pg_index where not indisvalid")).toBe(0);
  expect((await rebuildLedger(server.running.deps.config.databaseOwnerUrl, false, () => undefined)).differences).toBe(
    0,
  );
});

it("goes on asking about the charge and the order whose answers were lost", async () => {
  const asked = await client.query<{ id: string; key: string }>(
    "select id, key from external_requests where id = any($1)",
    [[LOST_CHARGE, LOST_ORDER]],
  );
  expect(asked.rows).toHaveLength(2);
  // By what the other side knows them: their ids alone, as they were sent.
  expect(asked.rows.map(({ id, key }) => key === id)).toEqual([true, true]);
  await until(
    () => count(`external_requests where id = any('{${LOST_CHARGE},${LOST_ORDER}}') and status = 'asked'`),
    (left) => left === 0,
    300,
  );
  // These stand-ins are others than the ones that were asked, and never heard of them.
  expect(await count(`external_requests where id = any('{${LOST_CHARGE},${LOST_ORDER}}') and status = 'lapsed'`)).toBe(
    2,
  );
});

it("starts again where it was", async () => {
  const second = await server.startSecond();
  expect((await openOrders(await server.signIn("odile", second.url))).length).toBeGreaterThan(5);
});
