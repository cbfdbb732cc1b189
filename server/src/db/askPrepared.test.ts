import { DatabaseError, QueryTypes } from "sequelize";
import { startTestServer, type TestServer } from "../testing/testServer";
import { askPrepared } from "./askPrepared";

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server?.stop());

const SUM = "select $1::int + $2::int as sum";

it("answers rows, of one statement a connection however often it is asked", async () => {
  const { db } = server;
  for (let number = 0; number < 8; number++)
    expect(await askPrepared<{ sum: number }>(db, SUM, [number, 1])).toEqual([{ sum: number + 1 }]);
  const kept = await db.query<{ generic: number }>(
    "select generic_plans::int as generic from pg_prepared_statements where statement = $1",
    { bind: [SUM], type: QueryTypes.SELECT },
  );
  // Five are planned for their values before one plan serves all.
  expect(kept).toEqual([{ generic: 3 }]);
});

it("fails as other queries do, and gives its connection back", async () => {
  const { db } = server;
  for (let time = 0; time < 20; time++)
    await expect(askPrepared(db, "select 1 / $1::int", [0])).rejects.toBeInstanceOf(DatabaseError);
  expect(await askPrepared(db, SUM, [1, 1])).toEqual([{ sum: 2 }]);
});
