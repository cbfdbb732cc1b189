import { v7 as uuid } from "uuid";
import { stampOf, type WorkOrderView, type routes } from "@mechanon/contract";
import type { z } from "zod";
import { findOrder, sendCommand, startTestServer, type TestPerson, type TestServer } from "../testing/testServer";

type Along = z.output<typeof routes.takeAlong.answer>;
let server: TestServer;
let odile: TestPerson;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

const along = async (known: object = {}, who = odile): Promise<Along> =>
  (await who.post<Along>("/api/device/along", { known })).body;
const known = (views: readonly WorkOrderView[]) =>
  Object.fromEntries(views.map((view) => [view.state.id, stampOf(view)]));

it("gives today and tomorrow with work orders, customers and cars, and the second time only what changed", async () => {
  const first = await along();
  expect(first.days).toHaveLength(2);
  const orders = first.days.flatMap(({ visits }) => visits.flatMap(({ workOrders }) => workOrders.map(({ id }) => id)));
  expect(orders.length).toBeGreaterThan(2);
  expect(new Set(first.workOrders.map(({ state }) => state.id))).toEqual(new Set(orders));
  const [view] = first.workOrders;
  expect(first.customers.map(({ customer }) => customer.id)).toContain(view?.customer?.id);
  expect(first.cars.map(({ vehicle }) => vehicle.id)).toContain(view?.vehicle?.id);
  const again = await along(known(first.workOrders));
  expect([again.workOrders, again.customers, again.cars]).toEqual([[], [], []]);
  expect(again.days).toEqual(first.days);
  await sendCommand(odile, view?.state.id ?? "", { type: "recordOdometer", miles: 191_000 });
  expect((await along(known(first.workOrders))).workOrders.map(({ state }) => state.id)).toEqual([view?.state.id]);
});

it("catches a device up on work orders of other days that it knows, their customers' changes included", async () => {
  const { id } = await findOrder(odile, "Petra");
  const view = (await odile.get<WorkOrderView>(`/api/work-orders/${id}`)).body;
  const kept = known([...(await along()).workOrders, view]);
  expect((await along(kept)).workOrders).toEqual([]);
  const { id: customerId, version, createdAt: _at, erasedAt: _erased, ...fields } = view.customer!;
  await odile.send("PATCH", `/api/customers/${customerId}`, { ...fields, version, notes: "Rings twice" });
  const after = await along(kept);
  expect(after.workOrders.map(({ state }) => state.id)).toContain(id);
  expect(after.customers.find(({ customer }) => customer.id === customerId)?.customer.notes).toBe("Rings twice");
  // What it knows and the business does not is nobody's business.
  expect((await along({ ...known(after.workOrders), ...kept, [uuid()]: stampOf(view) })).days).toHaveLength(2);
});

it("tells no cost to who may not see it", async () => {
  const wren = await server.signIn("wren");
  expect(JSON.stringify(await along({}, wren))).not.toMatch(/"costCents":\d|"wageCents":\d/);
});
