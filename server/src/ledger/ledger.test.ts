import { QueryTypes } from "sequelize";
import { upgradeWorkOrder } from "@mechanon/core";
import { sendCommand, openOrders, startTestServer, type TestPerson, type TestServer } from "../testing/testServer";
import { rebuildLedger, type LedgerDifference } from "./rebuildLedger";

let server: TestServer;
let odile: TestPerson;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

const ask = <Row extends object>(sql: string): Promise<Row[]> => server.db.query<Row>(sql, { type: QueryTypes.SELECT });
const rebuild = async (write = false): Promise<{ found: LedgerDifference[]; workOrders: number }> => {
  const found: LedgerDifference[] = [];
  const { workOrders } = await rebuildLedger(server.running.deps.config.databaseOwnerUrl, write, (each) =>
    found.push(each),
  );
  return { found, workOrders };
};

it("adds up to what the work orders say, and nothing has to be rebuilt", async () => {
  const [money] = await ask<{ cents: number; due: number }>(
    `select (select sum(amount_cents) from payments where status = 'taken')::int as cents,
       (select sum(due_cents) from bills)::int as due`,
  );
  const states = (await ask<{ state: object }>("select state from work_orders")).map(({ state }) =>
    upgradeWorkOrder(state as Record<string, unknown>),
  );
  const taken = states
    .flatMap(({ payments }) => payments)
    .reduce((sum, { status, amountCents }) => sum + (status === "taken" ? amountCents : 0), 0);
  expect(taken).toBeGreaterThan(0);
  expect(money?.cents).toBe(taken);
  const [columns] = await ask<{ due: number }>("select sum(due_cents)::int as due from work_orders");
  expect(money?.due).toBe(columns?.due);
  expect((await rebuild()).found).toEqual([]);
  expect((await rebuild()).workOrders).toBe(states.length);
});

it("says what differs, and writes it anew", async () => {
  await server.db.query(
    "update payments set amount_cents = amount_cents + 1 where ctid = (select ctid from payments limit 1)",
  );
  await server.db.query("delete from approval_answers where position = 0");
  const { found } = await rebuild();
  expect(new Set(found.map(({ list }) => list))).toEqual(new Set(["payments", "approval_answers"]));
  expect(found.find(({ list }) => list === "payments")).toMatchObject({ number: expect.any(Number) as unknown });
  expect((await rebuild(true)).found).toHaveLength(found.length);
  expect((await rebuild()).found).toEqual([]);
});

it("is written whole by a command for a work order of before the ledger was kept", async () => {
  const [order] = await openOrders(odile);
  const id = order?.id ?? "";
  await server.db.query("update work_orders set ledger_version = 0, concerns = null where id = $1", {
    bind: [id],
  });
  await server.db.query("delete from bills where work_order_id = $1", { bind: [id] });
  expect((await rebuild()).found.length).toBeGreaterThan(0);
  await sendCommand(odile, id, { type: "recordOdometer", miles: 5 });
  expect((await rebuild()).found).toEqual([]);
});
