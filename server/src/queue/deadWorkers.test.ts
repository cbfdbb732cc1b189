import { QueryTypes } from "sequelize";
import { WORKER_LOCKS } from "./deadWorkers";
import { startTestServer, until, type TestServer } from "../testing/testServer";

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server?.stop());

/** A job that somebody took a minute ago. */
async function takenBy(worker: string): Promise<string> {
  const { db } = server;
  const [job] = await db.query<{ id: string }>(
    `select id::text from graphile_worker.add_job('import', json_build_object('businessId', gen_random_uuid(), 'importId', gen_random_uuid()),
       run_at => now() + interval '1 hour')`,
    { type: QueryTypes.SELECT },
  );
  const id = job?.id ?? "";
  await db.query(
    `update graphile_worker._private_jobs set run_at = now(), attempts = 1, locked_by = $2, locked_at = now() - interval '1 minute'
     where id = $1`,
    { bind: [id, worker] },
  );
  return id;
}
const isThere = async (id: string): Promise<boolean> =>
  (
    await server.db.query("select from graphile_worker.jobs where id = $1", {
      bind: [id],
      type: QueryTypes.SELECT,
    })
  ).length === 1;

it("does what a killed server had begun, and leaves alone what a living one is doing", async () => {
  const { db } = server;
  const holder = await db.transaction();
  await db.query("select pg_advisory_xact_lock_shared($1, hashtext('worker-alive'))", {
    bind: [WORKER_LOCKS],
    transaction: holder,
  });
  const [ofDead, ofLiving] = [await takenBy("worker-gone"), await takenBy("worker-alive")];
  await server.startSecond();
  await until(
    () => isThere(ofDead),
    (there) => !there,
  );
  expect(await isThere(ofLiving)).toBe(true);
  await holder.rollback();
});

it("holds a sign of life for each of its workers, again after the database dropped it", async () => {
  const { db } = server;
  const signs = async (): Promise<number> =>
    (
      await db.query(
        `select from pg_locks join pg_database on pg_database.oid = database
         where datname = current_database() and locktype = 'advisory' and classid = $1 and granted`,
        { bind: [WORKER_LOCKS], type: QueryTypes.SELECT },
      )
    ).length;
  const workers = 6;
  await until(signs, (count) => count === workers);
  await db.query(
    `select pg_terminate_backend(pid) from pg_stat_activity
     where datname = current_database() and application_name = 'mechanon-workers'`,
  );
  await until(signs, (count) => count < workers);
  expect(await until(signs, (count) => count === workers)).toBe(workers);
});
