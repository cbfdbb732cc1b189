import { v7 as uuid } from "uuid";
import type { BusinessView, OpenWorkView } from "@mechanon/contract";
import { startTestServer, type TestPerson, type TestServer } from "../testing/testServer";

const ADDED = 95;
let server: TestServer;
let odile: TestPerson;
let demoCount: number;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  demoCount = (await open()).find(({ waitsFor }) => waitsFor === "time")?.count ?? 0;
  const { id: businessId } = (await odile.get<BusinessView>("/api/business")).body;
  // Copies of one that waits for a time, several of them since the same moment.
  await server.db.query(
    `insert into work_orders (business_id, id, number, customer_id, vehicle_id, revision, state, waits_for, waits_since,
       total_cents, due_cents, later_count, open_conflicts, opened_at)
     select business_id, gen_random_uuid(), 9000 + n, customer_id, vehicle_id, revision, state, waits_for,
       waits_since + (n / 7) * interval '1 hour', total_cents, due_cents, later_count, open_conflicts, opened_at
     from (select * from work_orders where business_id = $1 and waits_for = 'time' limit 1) w
     cross join generate_series(1, ${ADDED}) n`,
    { bind: [businessId] },
  );
});
afterAll(() => server?.stop());

const open = async (query = ""): Promise<OpenWorkView["groups"]> =>
  (await odile.get<OpenWorkView>(`/api/open-work${query}`)).body.groups;

it("counts all of each kind, and gives the oldest first", async () => {
  const groups = await open();
  expect(groups.map(({ waitsFor }) => waitsFor)).toEqual(["answer", "parts", "time", "work", "money"]);
  const time = groups.find(({ waitsFor }) => waitsFor === "time");
  expect(time?.count).toBe(demoCount + ADDED);
  const since = time?.workOrders.map((order) => order.since) ?? [];
  expect(since).toEqual([...since].sort());
  expect(time?.workOrders.length).toBeLessThan(ADDED);
});

it("goes on by pages until all were given, each once", async () => {
  let [group] = await open("?waitsFor=time");
  const seen = group?.workOrders.map(({ id }) => id) ?? [];
  while (group?.next) {
    [group] = await open(`?waitsFor=time&since=${encodeURIComponent(group.next.since)}&id=${group.next.id}`);
    seen.push(...(group?.workOrders.map(({ id }) => id) ?? []));
  }
  expect(seen).toHaveLength(demoCount + ADDED);
  expect(new Set(seen).size).toBe(seen.length);
});

it("shows what was called for, also of a work order of before lists had it", async () => {
  const [group] = await open("?waitsFor=time");
  expect(group?.workOrders.every(({ concerns }) => concerns.length > 0)).toBe(true);
});

it.each([
  ["half of where a page goes on", `?since=2026-01-01T00:00:00.000Z`],
  ["another kind", "?waitsFor=luck"],
  ["no instant", `?since=yesterday&id=${uuid()}`],
])("refuses %s", async (_name, query) => {
  expect((await odile.get(`/api/open-work${query}`)).body).toMatchObject({ status: 422, code: "request/invalid" });
});
