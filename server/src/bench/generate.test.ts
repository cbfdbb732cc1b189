import { QueryTypes } from "sequelize";
import { Client } from "pg";
import { workOrderState } from "@mechanon/core";
import type { CustomerSheetView, Found } from "@mechanon/contract";
import { ofBusiness } from "../db/ofBusiness";
import { startTestServer, type TestServer } from "../testing/testServer";
import { generatePeople, generateWork, odilesIds } from "./generate";
import { Chance, madeUpNames } from "../testing/madeUp";

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server?.stop());

describe("chance", () => {
  it("is the same for the same seed, and spread", () => {
    const [a, b] = [new Chance(3), new Chance(3)];
    const values = Array.from({ length: 1000 }, () => a.next());
    expect(values).toEqual(Array.from({ length: 1000 }, () => b.next()));
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
    expect([Math.min(...values) >= 0, Math.max(...values) < 1, Math.abs(mean - 0.5) < 0.05]).toEqual([
      true,
      true,
      true,
    ]);
  });
  it("picks the first often and the last seldom", () => {
    const chance = new Chance(5);
    const picks = Array.from({ length: 2000 }, () => chance.pickCommon([0, 1, 2, 3]));
    const count = (wanted: number): number => picks.filter((each) => each === wanted).length;
    expect(count(0)).toBeGreaterThan(count(1));
    expect(count(1)).toBeGreaterThan(count(3));
    expect(() => chance.pick([])).toThrow("nothing to pick from");
  });
  it("makes up names, each once", () => {
    const names = madeUpNames(new Chance(1), 5000);
    expect(new Set(names).size).toBe(5000);
  });
});

it("made-up people and work are like real ones: found, opened, in the shape of every work order", async () => {
  const { db, config } = server.running.deps;
  const odile = await odilesIds(server.db);
  const people = await ofBusiness(odile.businessId, () => generatePeople(db, odile.businessId, 120));
  const client = new Client({ connectionString: config.databaseOwnerUrl });
  await client.connect();
  await generateWork(client, odile.businessId, odile.personId, 600);
  await client.end();
  const rows = await server.db.query<{ state: object }>("select state from work_orders", { type: QueryTypes.SELECT });
  expect(rows.length).toBeGreaterThanOrEqual(600);
  for (const { state } of rows) expect(() => workOrderState.parse(state)).not.toThrow();
  const person = await server.signIn();
  for (const { id, name, cars } of people.slice(0, 10)) {
    const { body } = await person.get<Found>(`/api/search?q=${cars[0]?.vin ?? ""}`);
    expect(body.customers[0]?.customer).toMatchObject({ id, name });
    const { body: sheet } = await person.get<CustomerSheetView>(`/api/customers/${id}`);
    expect(sheet.vehicles.map(({ plate }) => plate).sort()).toEqual(cars.map(({ plate }) => plate).sort());
    expect(sheet.pastWorkCount + sheet.openWork.length).toBeGreaterThan(0);
  }
  const later = await server.db.query<{ count: number }>(
    "select count(*)::int as count from work_orders where later_count > 0",
    { type: QueryTypes.SELECT },
  );
  expect(later[0]?.count).toBeGreaterThanOrEqual(20);
});
