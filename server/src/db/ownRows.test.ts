import pg from "pg";
import { QueryTypes } from "sequelize";
import { addOtherBusiness } from "../testing/otherBusiness";
import { startTestServer, type TestServer } from "../testing/testServer";
import { askPrepared } from "./askPrepared";
import { connect } from "./connect";
import { requireOwnRowsOnly } from "./grants";
import { CustomerRow } from "../customers/model";
import { businessNow, ofBusiness } from "./ofBusiness";

let server: TestServer;
let here: string;
let there: string;
beforeAll(async () => {
  server = await startTestServer();
  ({ id: there } = await addOtherBusiness(server));
  const [own] = await server.db.query<{ id: string }>("select id from businesses where id <> $1", {
    bind: [there],
    type: QueryTypes.SELECT,
  });
  here = own?.id ?? "";
});
afterAll(() => server?.stop());

const asServer = (): TestServer["db"] => server.running.deps.db;
const count = async (sql: string): Promise<number> =>
  (
    await asServer().query<{ count: number }>(`select count(*)::int as count from ${sql}`, { type: QueryTypes.SELECT })
  )[0]?.count ?? -1;

it("holds for every table with rows of a business, the directory's included, and every month of the history", async () => {
  const bare = await server.db.query<{ name: string }>(
    `select c.oid::regclass::text as name from pg_class c join pg_attribute a on a.attrelid = c.oid
     where a.attname = 'business_id' and c.relkind in ('r', 'p') and c.relnamespace::regnamespace::text in ('public', 'directory')
       and not (c.relrowsecurity and (c.relispartition or exists (select from pg_policy where polrelid = c.oid)))`,
    { type: QueryTypes.SELECT },
  );
  expect(bare).toEqual([]);
});

it("is asked as a role that passes no policy by and owns nothing", async () => {
  await expect(requireOwnRowsOnly(asServer())).resolves.toBeUndefined();
  await expect(requireOwnRowsOnly(server.db)).rejects.toThrow("see the rows of every business");
  const [role] = await asServer().query<object>(
    "select rolsuper, rolbypassrls, rolcreatedb, rolcreaterole from pg_roles where rolname = current_user",
    { type: QueryTypes.SELECT },
  );
  expect(role).toEqual({ rolsuper: false, rolbypassrls: false, rolcreatedb: false, rolcreaterole: false });
  for (const sql of [
    "select 1 from migrations",
    "select 1 from graphile_worker._private_jobs",
    "drop table customers",
    "alter table customers disable row level security",
    "select 1 from history_before",
  ])
    await expect(asServer().query(sql)).rejects.toThrow(/permission denied|must be owner/);
});

it("shows raw statements, models and prepared ones the rows of one business, and nobody's outside of it", async () => {
  const tables = await server.db.query<{ name: string }>(
    `select distinct c.oid::regclass::text as name from pg_class c join pg_attribute a on a.attrelid = c.oid
     where a.attname = 'business_id' and c.relkind in ('r', 'p', 'v') and not c.relispartition
       and c.relnamespace::regnamespace::text in ('public', 'directory')`,
    { type: QueryTypes.SELECT },
  );
  expect(tables.length).toBeGreaterThan(25);
  for (const { name } of tables) {
    expect([name, await count(name)]).toEqual([name, 0]);
    expect([name, await ofBusiness(here, () => count(`${name} where business_id <> '${here}'`))]).toEqual([name, 0]);
  }
  expect(await ofBusiness(here, () => count("customers"))).toBe(14);
  const ask = (): Promise<object[]> => askPrepared(asServer(), "select business_id from customers where true", []);
  expect(new Set((await ofBusiness(there, ask)).map((row) => Object.values(row)[0] as string))).toEqual(
    new Set([there]),
  );
  expect(await ask()).toEqual([]);
  expect(await ofBusiness(here, () => CustomerRow.count({ where: { businessId: there } }))).toBe(0);
});

it("lets no statement write into another business, or take its rows along", async () => {
  const into = `insert into customers (business_id, id, name, details, version) values ('${there}', gen_random_uuid(), 'x', '{}', 1)`;
  await expect(ofBusiness(here, () => asServer().query(into))).rejects.toThrow("row-level security");
  await ofBusiness(here, () => asServer().query("update customers set version = version + 1"));
  const [changed] = await server.db.query<{ count: number }>(
    "select count(*)::int as count from customers where version > 1 and business_id = $1",
    { bind: [there], type: QueryTypes.SELECT },
  );
  expect(changed?.count).toBe(0);
  await expect(
    ofBusiness(here, () =>
      asServer().query(`select queue_job('sendMessage', '{"businessId":"${there}","messageId":"x"}')`),
    ),
  ).rejects.toThrow("a job of another business");
});

it("forgets whose it was with the transaction, on connections many share", async () => {
  const setting = async (): Promise<unknown> =>
    (
      await asServer().query<{ whose: string | null }>(
        "select current_setting('mechanon.business_id', true) as whose",
        { type: QueryTypes.SELECT },
      )
    )[0]?.whose ?? "";
  const rounds = await Promise.all(
    Array.from({ length: 60 }, async (_, index) => {
      if (index % 3 === 0) return [await setting(), ""];
      const whose = index % 3 === 1 ? here : there;
      return ofBusiness(whose, async () => {
        const inside = await asServer().transaction(async (transaction) => {
          await asServer().query("select pg_sleep(0.01)", { transaction });
          return asServer().query<{ id: string }>("select id from businesses", {
            transaction,
            type: QueryTypes.SELECT,
          });
        });
        return [inside.map(({ id }) => id).join(), whose];
      });
    }),
  );
  for (const [found, whose] of rounds) expect(found).toBe(whose);
  await expect(ofBusiness(here, () => asServer().query("select 1/0"))).rejects.toThrow("division by zero");
  for (let again = 0; again < 20; again++) expect(await setting()).toBe("");
  expect(businessNow()).toBeNull();
  expect(() => ofBusiness("' or true --", () => 1)).toThrow(TypeError);
});

it("keeps its word where connections are lost in the middle, also for who asks again at once", async () => {
  const db = connect(server.running.deps.config.databaseUrl);
  const root = new pg.Client({ connectionString: `${process.env.PG_ADMIN_URL ?? ""}/postgres` });
  await root.connect();
  const asked = "query like '%pg_sleep(30)%' and pid <> pg_backend_pid()";
  const lost = Array.from({ length: 10 }, () =>
    ofBusiness(here, async () => {
      await expect(db.query("select pg_sleep(30)")).rejects.toThrow("terminating connection");
      return db.query<{ id: string }>("select id from businesses", { type: QueryTypes.SELECT });
    }),
  );
  let open = true;
  const answers = Promise.all(lost).finally(() => (open = false));
  while (open) {
    await root.query(`select pg_terminate_backend(pid) from pg_stat_activity where ${asked}`);
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  for (const after of await answers) expect(after).toEqual([{ id: here }]);
  await root.end();
  await db.close();
});
