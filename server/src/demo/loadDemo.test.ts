import { BUSINESS } from "@mechanon/demo";
import { WAITS, addDays, dayOf, visitStanding } from "@mechanon/core";
import type { DayVisit, WorkOrderSummary, WorkOrderView } from "@mechanon/contract";
import { openOrders, startTestServer, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
let open: WorkOrderSummary[];

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  open = await openOrders(odile);
});
afterAll(() => server?.stop());

const day = async (offset: number): Promise<DayVisit[]> => {
  const date = addDays(dayOf(new Date().toISOString(), BUSINESS.timeZone), offset);
  return (await odile.get<{ visits: DayVisit[] }>(`/api/day?date=${date}`)).body.visits;
};

it("has something open of every kind, oldest first", () => {
  expect(new Set(open.map(({ waitsFor }) => waitsFor))).toEqual(new Set(WAITS));
  for (const wait of WAITS) {
    const since = open.filter(({ waitsFor }) => waitsFor === wait).map((order) => order.since);
    expect(since).toEqual([...since].sort());
  }
});

it("has visits yesterday, today and tomorrow, for two vans", async () => {
  for (const offset of [0, 1])
    expect(new Set((await day(offset)).map(({ mechanicName }) => mechanicName)).size).toBe(2);
  expect((await day(-1)).length).toBeGreaterThanOrEqual(3);
});

it("says of nothing that it happened in the time to come", async () => {
  const soon = new Date(Date.now() + 6 * 60_000).toISOString();
  for (const { visit } of [...(await day(-1)), ...(await day(0)), ...(await day(1))]) {
    if (visitStanding(visit) !== "over") continue;
    for (const at of [visit.arrivedAt, visit.leftAt]) expect(String(at) < soon).toBe(true);
  }
  for (const { id } of open) {
    const { state } = (await odile.get<WorkOrderView>(`/api/work-orders/${id}`)).body;
    const happened = [state.openedAt, ...state.approvals, ...state.payments, ...state.received].map((fact) =>
      typeof fact === "string" ? fact : fact.at,
    );
    for (const at of happened) expect(at < soon).toBe(true);
  }
});

it("made all of it through commands, each in the history, none refused or in conflict", async () => {
  const rows = await server.db.query(
    "select outcome->>'outcome' as outcome, count(*)::int as count from history group by 1",
  );
  expect(rows[0]).toEqual([{ outcome: "applied", count: expect.any(Number) as unknown }]);
  expect(open.filter(({ conflicts }) => conflicts > 0)).toEqual([]);
});

it("is loaded once: a second start adds nothing", async () => {
  await server.startSecond();
  const again = await openOrders(odile);
  expect(again.map(({ id }) => id)).toEqual(open.map(({ id }) => id));
});
