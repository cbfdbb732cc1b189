import pg from "pg";
import { QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import type { BusinessView } from "@mechanon/contract";
import { ASK } from "../testing/asking";
import { jpegOf } from "../testing/pictures";
import { startTestServer, type TestPerson, type TestServer } from "../testing/testServer";
import { maintain } from "./maintenance";

let server: TestServer;
let odile: TestPerson;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

const count = async (sql: string): Promise<number> => {
  const [row] = await server.db.query<{ count: number }>(`select count(*)::int as count from ${sql}`, {
    type: QueryTypes.SELECT,
  });
  return row?.count ?? 0;
};

/** As the queue does it, on a connection of the owner's. */
async function maintained(): Promise<void> {
  const client = new pg.Client({ connectionString: server.running.deps.config.databaseOwnerUrl });
  await client.connect();
  await maintain(client);
  await client.end();
}

it("lets go of old keys, keeps those a device may still ask by", async () => {
  const { id: businessId } = (await odile.get<BusinessView>("/api/business")).body;
  for (const days of [1, 59, 61, 400])
    await server.db.query(
      `insert into idempotency_keys (business_id, key, request_hash, status, answer, created_at)
       values ($1, $2, '', 201, '{}', now() - make_interval(days => $3))`,
      { bind: [businessId, uuid(), days] },
    );
  await maintained();
  expect(await count("idempotency_keys")).toBe(2);
});

it("has months of history ahead, made once", async () => {
  const months = "pg_inherits where inhparent = 'history'::regclass";
  const before = await count(months);
  await maintained();
  expect(await count(months)).toBe(before);
  await server.db.query("drop table " + (await lastMonth()));
  await maintained();
  expect(await count(months)).toBe(before);
});

it("lets go of photos nobody sent a request for, a day later", async () => {
  const [sent, unsent, young] = [uuid(), uuid(), uuid()];
  const requestId = uuid();
  const stranger = server.stranger();
  const add = (request: string, photo: string): Promise<unknown> =>
    stranger.send("POST", `${ASK}/requests/${request}/photos/${photo}`, new Uint8Array(jpegOf()), {
      "Content-Type": "image/jpeg",
    });
  await add(requestId, sent);
  await add(uuid(), unsent);
  await add(uuid(), young);
  await server.db.query(
    `insert into requests (business_id, id, asked, asked_hash, status, work_order_id, visit_id, new_customer_id, new_vehicle_id)
     select business_id, '${requestId}', '{}', '', 'waiting', gen_random_uuid(), gen_random_uuid(), gen_random_uuid(), gen_random_uuid()
     from customer_photos where photo_id = '${sent}'`,
  );
  await server.db.query(
    `update customer_photos set arrived_at = now() - interval '2 days' where photo_id in ('${sent}', '${unsent}')`,
  );
  await maintained();
  expect(await count(`photos where id in ('${sent}', '${unsent}', '${young}')`)).toBe(2);
  expect(await count(`customer_photos where photo_id = '${unsent}'`)).toBe(0);
});

async function lastMonth(): Promise<string> {
  const [row] = await server.db.query<{ name: string }>(
    "select inhrelid::regclass::text as name from pg_inherits where inhparent = 'history'::regclass order by 1 desc limit 1",
    { type: QueryTypes.SELECT },
  );
  return row?.name ?? "";
}
