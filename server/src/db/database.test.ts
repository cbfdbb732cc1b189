import pg from "pg";
import { ConnectionError, QueryTypes, Sequelize } from "sequelize";
import { dropDatabase, makeDatabase, urlsOf } from "../testing/databases";
import {
  findOrder,
  sendCommand,
  startTestServer,
  until,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";
import { MIGRATION_LOCK, migrate } from "./migrate";
import { up as mergedDrivers } from "./migrations/0005-merged-drivers";
import { CustomerRow } from "../customers/model";
import { WorkOrderRow } from "../workOrders/model";

let server: TestServer;
let odile: TestPerson;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

it("keeps businesses apart: a query that forgot its business fails", async () => {
  await expect(CustomerRow.findAll({ where: { name: "Maren Oyelaran" } })).rejects.toThrow(
    "queried without its business",
  );
  await expect(WorkOrderRow.update({ revision: 1 }, { where: { number: 1001 } })).rejects.toThrow(
    "queried without its business",
  );
  await expect(WorkOrderRow.count()).rejects.toThrow("queried without its business");
});

it("keys every table by business first, and lets no constraint cross businesses", async () => {
  const ask = <Row extends object>(sql: string): Promise<Row[]> =>
    server.db.query<Row>(sql, { type: QueryTypes.SELECT });
  const keys = await ask<{ table: string; name: string; first: string }>(
    `select c.conrelid::regclass::text as "table", c.conname as name,
       (select attname from pg_attribute where attrelid = c.conrelid and attnum = c.conkey[1]) as first
     from pg_constraint c join pg_class t on t.oid = c.conrelid
     where c.contype in ('p', 'u', 'f', 'x') and t.relnamespace = 'public'::regnamespace and not t.relispartition`,
  );
  // What belongs to no business: the list of them, what keeps the database itself forward, tries of strangers.
  const ofNobody = ["businesses", "migrations", "behind", "request_counts"];
  const ours = keys.filter(({ table }) => !ofNobody.includes(table));
  expect(ours.length).toBeGreaterThan(40);
  expect(ours.filter(({ first }) => first !== "business_id")).toEqual([]);
  const bare = await ask<{ table: string }>(
    `select t.oid::regclass::text as "table" from pg_class t
     where t.relkind in ('r', 'p') and t.relnamespace = 'public'::regnamespace
       and not exists (select from pg_attribute a where a.attrelid = t.oid and a.attname = 'business_id')`,
  );
  expect(bare.map(({ table }) => table).sort()).toEqual([...ofNobody].sort());
});

it("migrates once, also when started again on the same database", async () => {
  await server.startSecond();
  const rows = await server.db.query<{ name: string }>("select name from migrations", {
    type: QueryTypes.SELECT,
  });
  expect(rows.map(({ name }) => name)).toEqual([
    "0001-first-visit",
    "0002-people",
    "0003-transfer",
    "0004-cars",
    "0005-merged-drivers",
    "0006-near-words",
    "0007-ground",
    "0008-photos",
    "0009-guard",
    "0010-call",
    "0011-rights",
    "0012-device-keys",
    "0013-told-changes",
    "0014-supplier-phones",
    "0015-photo-pieces",
    "0016-library-changes",
    "0017-booking",
    "0018-requests",
    "0019-inspection",
    "0020-answers",
    "0021-papers",
  ]);
  const customers = await server.db.query<{ count: string }>("select count(*)::int as count from customers", {
    type: QueryTypes.SELECT,
  });
  expect(customers).toEqual([{ count: 14 }]);
});

it("moves what records merged earlier drove to the kept ones", async () => {
  const { db } = server;
  const transaction = await db.transaction();
  try {
    const ask = <Row extends object>(sql: string): Promise<Row[]> =>
      db.query<Row>(sql, { transaction, type: QueryTypes.SELECT });
    const run = (sql: string): Promise<unknown> => db.query(sql, { transaction });
    const [kept, merged, owner] = await ask<{ id: string }>(
      "select id from customers where id in (select customer_id from vehicles) order by id limit 3",
    );
    const [theirs, own] = await ask<{ id: string }>(
      `select id from vehicles where customer_id in ('${owner?.id}', '${kept?.id}') order by customer_id = '${kept?.id}', id`,
    );
    await run("alter table customer_merges drop column drives_before");
    await run(`update customers set merged_into = '${kept?.id}' where id = '${merged?.id}'`);
    await run(`insert into vehicle_people (business_id, vehicle_id, customer_id, role)
      select business_id, id, '${merged?.id}', 'Driver' from vehicles where id in ('${theirs?.id}', '${own?.id}')`);
    await run(mergedDrivers);
    expect(await ask("select vehicle_id, customer_id from vehicle_people order by vehicle_id")).toEqual([
      { vehicle_id: theirs?.id, customer_id: kept?.id },
    ]);
  } finally {
    await transaction.rollback();
  }
});

it("waits for another server's migration, however long that takes", async () => {
  const name = await makeDatabase("migrated");
  const url = urlsOf(name).DATABASE_OWNER_URL;
  const locker = new pg.Client({ connectionString: url });
  await locker.connect();
  const db = new Sequelize(url, {
    dialect: "postgres",
    logging: false,
    // What an answer may take here; migrating may take longer.
    dialectOptions: { statement_timeout: 1500 },
  });
  try {
    await locker.query("begin");
    await locker.query(`select pg_advisory_xact_lock(${MIGRATION_LOCK})`);
    const waiting = async (): Promise<number> =>
      (
        await locker.query<{ waiting: number }>(
          "select count(*)::int as waiting from pg_locks where locktype = 'advisory' and not granted",
        )
      ).rows[0]?.waiting ?? 0;
    const migrated = migrate(db, url);
    await until(waiting, (count) => count === 1);
    await new Promise((done) => setTimeout(done, 2500));
    expect(await waiting()).toBe(1);
    expect((await locker.query("select name from migrations")).rows).toEqual([]);
    await locker.query("commit");
    await expect(migrated).resolves.toBeUndefined();
  } finally {
    await locker.end();
    await db.close();
    await dropDatabase(name);
  }
});

it("goes on after the database dropped every connection", async () => {
  const { id } = await findOrder(odile, "Petra");
  await server.db
    .query(
      "select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()",
    )
    .catch(() => undefined);
  const answer = await until(
    () => sendCommand(odile, id, { type: "recordOdometer", miles: 4321 }),
    ({ status }) => status === 200,
  );
  expect(answer.body.workOrder.state.odometerMiles?.value).toBe(4321);
});

it("says that the database is gone, keeps nothing half done, and is not well", async () => {
  const lost = jest
    .spyOn(server.running.deps.db.connectionManager, "getConnection")
    .mockRejectedValue(new ConnectionError(new Error("gone")));
  const answer = await odile.get("/api/open-work");
  expect(answer.body).toMatchObject({ status: 503, code: "database/unreachable" });
  expect((await server.stranger().get("/api/health")).body).toMatchObject({
    status: "degraded",
    database: "unreachable",
  });
  lost.mockRestore();
  expect((await odile.get("/api/open-work")).status).toBe(200);
});
