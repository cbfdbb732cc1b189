import { v7 as uuid } from "uuid";
import { OutsideError } from "../outside/http";
import { approvedParts, jobTotals, quantityToBuy } from "@mechanon/core";
import type { BusinessView, WorkOrderView } from "@mechanon/contract";
import {
  findOrder,
  sendCommand,
  startTestServer,
  until,
  type Answer,
  type Person,
  type TestServer,
} from "../testing/testServer";

let server: TestServer;
let odile: Person;
let wren: Person;
let orderId: string;

beforeAll(async () => {
  server = await startTestServer({ SETTLE_AFTER_MS: "600" });
  odile = await server.signIn();
  wren = await server.signIn("wren");
  orderId = (await findOrder(odile, "Petra")).id;
});
afterEach(() => Promise.all(["supplier", "terminal"].map((service) => server.fault(service, "none"))));
afterAll(() => server?.stop());

const view = async (): Promise<WorkOrderView> => (await odile.get<WorkOrderView>(`/api/work-orders/${orderId}`)).body;

/** Puts one more job with a part on the quote, agreed to; gives its part lines. */
async function agreedParts(libraryJobId = "stabilizer-links"): Promise<string[]> {
  const jobId = uuid();
  const lineIds = [uuid(), uuid()];
  await sendCommand(odile, orderId, { type: "addJob", jobId, libraryJobId, lineIds, concernId: null, pointId: null });
  const { state } = await view();
  const totals = jobTotals(state);
  await sendCommand(odile, orderId, {
    type: "recordAnswers",
    approvalId: uuid(),
    way: "spoken",
    name: "Petra",
    signature: [],
    answers: [{ jobId, title: "", answer: "yes", totalCents: totals.get(jobId) }],
    totalCents: 1,
  });
  return approvedParts((await view()).state, "needed")
    .map(({ id }) => id)
    .filter((id) => lineIds.includes(id));
}
const order = (
  who: Person,
  lineIds: string[],
  id: string = uuid(),
): Promise<Answer<{ code: string; workOrder: WorkOrderView }>> =>
  who.post(`/api/work-orders/${orderId}/part-orders`, { orderId: id, lineIds, acceptChangedCost: true });
const filled = async (): Promise<number> =>
  ((await (await fetch(`${server.running.deps.config.standinsUrl}/suppliers/gull-harbor/orders`)).json()) as unknown[])
    .length;
/** What the supplier knows its orders by. */
const filledKeys = async (): Promise<string[]> =>
  (
    (await (await fetch(`${server.running.deps.config.standinsUrl}/suppliers/gull-harbor/orders`)).json()) as {
      key: string;
    }[]
  ).map(({ key }) => key);
const charged = async (): Promise<number> =>
  ((await (await fetch(`${server.running.deps.config.standinsUrl}/terminal/charges`)).json()) as unknown[]).length;

describe("parts", () => {
  it("whose answer was lost are ordered once, whatever id asks for them again, and recorded by themselves", async () => {
    const lines = await agreedParts();
    const before = await filled();
    // The offers come through, the order is done; its answer is lost.
    const { outside } = server.running.deps;
    const reallyOrder = outside.suppliers.order.bind(outside.suppliers);
    const lost = jest.spyOn(outside.suppliers, "order").mockImplementationOnce(async (supplierId, key, items) => {
      await reallyOrder(supplierId, key, items);
      throw new OutsideError("the answer was lost");
    });
    const first = await order(odile, lines);
    lost.mockRestore();
    expect(first.body).toMatchObject({ status: 503, code: "parts/supplier-unreachable" });
    expect((await view()).requests).toMatchObject([{ kind: "partsOrder", status: "asked", lineIds: lines }]);
    expect((await order(odile, lines)).body).toMatchObject({ status: 409, code: "parts/being-ordered" });
    const settled = await until(view, ({ requests }) => requests.length === 0);
    expect(
      settled.state.orders.filter(({ items }) => items.some(({ lineId }) => lines.includes(lineId))),
    ).toMatchObject([{ supplierId: "gull-harbor", supplier: "Gull Harbor Parts", items: [{ quantity: 2 }] }]);
    expect(settled.state.conflicts.filter(({ code }) => code === "part/ordered-twice")).toEqual([]);
    expect((await filled()) - before).toBe(1);
    const { id: businessId } = (await odile.get<BusinessView>("/api/business")).body;
    for (const key of await filledKeys()) expect(key.startsWith(`${businessId}/`)).toBe(true);
  });

  it("are ordered once by two phones at once, and the other is told", async () => {
    for (let round = 0; round < 3; round++) {
      const lines = await agreedParts();
      const before = await filled();
      const answers = await Promise.all([order(odile, lines), order(wren, lines), order(odile, lines)]);
      expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
      for (const { status, body } of answers)
        if (status !== 200) expect(["parts/being-ordered", "parts/nothing-to-order"]).toContain(body.code);
      expect((await filled()) - before).toBe(1);
    }
  });

  it("that never reached the supplier are free again, and it is said", async () => {
    const lines = await agreedParts();
    const { outside } = server.running.deps;
    const down = jest.spyOn(outside.suppliers, "order").mockRejectedValueOnce(new OutsideError("no line"));
    const id = uuid();
    expect((await order(odile, lines, id)).body).toMatchObject({ code: "parts/supplier-unreachable" });
    down.mockRestore();
    const told = await until(view, ({ requests }) => requests.some(({ status }) => status === "lapsed"));
    expect(told.requests.find((request) => request.id === id)).toMatchObject({ status: "lapsed", lineIds: lines });
    // The supplier takes the old key no more, so a new order is made.
    expect((await order(odile, lines)).status).toBe(200);
  });

  it("ordered one of two leave the other to be ordered", async () => {
    const [line = ""] = await agreedParts();
    const { state } = await view();
    const part = approvedParts(state, "needed").find(({ id }) => id === line);
    expect(part && quantityToBuy(state, part)).toBe(2);
    expect((await order(odile, [line])).status).toBe(200);
    await sendCommand(odile, orderId, { type: "changeLine", lineId: line, hours: null, quantity: 3, priceCents: null });
    const changed = (await view()).state.jobs.flatMap(({ lines }) => lines).find(({ id }) => id === line);
    expect(changed?.kind === "part" && quantityToBuy((await view()).state, changed)).toBe(1);
  });
});

describe("a card", () => {
  it("whose answer was lost is settled by itself, once, and stands in the way of no further one", async () => {
    const before = await charged();
    await server.fault("terminal", "answerLost", 3);
    const paymentId = uuid();
    const pay = (id: string): Promise<Answer<{ code: string }>> =>
      odile.post(`/api/work-orders/${orderId}/card-payments`, { paymentId: id, amountCents: 500 });
    expect((await pay(paymentId)).body).toMatchObject({ code: "payment/terminal-unreachable" });
    const settled = await until(view, ({ state }) => state.payments.some(({ id }) => id === paymentId));
    expect(settled.state.payments.find(({ id }) => id === paymentId)).toMatchObject({
      status: "taken",
      amountCents: 500,
    });
    expect(settled.requests.filter(({ kind }) => kind === "cardCharge")).toEqual([]);
    expect((await charged()) - before).toBe(1);
  });

  it("is not charged under the id of another command", async () => {
    const before = await charged();
    const id = uuid();
    await sendCommand(odile, orderId, { type: "recordOdometer", miles: 77 }, id);
    const { body } = await odile.post<{ code: string }>(`/api/work-orders/${orderId}/card-payments`, {
      paymentId: id,
      amountCents: 100,
    });
    expect(body.code).toBe("command/id-reused");
    expect(await charged()).toBe(before);
  });
});
