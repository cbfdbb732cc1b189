import { ConnectionError, QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import { OutsideError } from "../outside/http";
import { approvedParts, balanceOf, jobTotals, quantityToBuy } from "@mechanon/core";
import type { BusinessView, WorkOrderView } from "@mechanon/contract";
import { addOtherBusiness } from "../testing/otherBusiness";
import {
  findOrder,
  openOrders,
  sendCommand,
  startTestServer,
  until,
  type HttpAnswer,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;
let wren: TestPerson;
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
  await sendCommand(odile, orderId, { type: "addJob", jobId, libraryJobId, lineIds, concernId: null, pointIds: [] });
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
  who: TestPerson,
  lineIds: string[],
  id: string = uuid(),
): Promise<HttpAnswer<{ code: string; workOrder: WorkOrderView }>> =>
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
    expect((await pay(paymentId)).body).toMatchObject({ code: "payment/terminal-unreachable" });
    const settled = await until(view, ({ state }) => state.payments.some(({ id }) => id === paymentId));
    expect(settled.state.payments.find(({ id }) => id === paymentId)).toMatchObject({
      status: "taken",
      amountCents: 500,
    });
    expect(settled.requests.filter(({ kind }) => kind === "cardCharge")).toEqual([]);
    expect((await charged()) - before).toBe(1);
  });

  const pay = (id: string, amountCents = 500): Promise<HttpAnswer<{ code: string; detail: string }>> =>
    odile.post(`/api/work-orders/${orderId}/card-payments`, { paymentId: id, amountCents });

  it("that was charged while the database went away is said to be unknown, and is recorded once by itself", async () => {
    const before = await charged();
    const { outside, db } = server.running.deps;
    const really = outside.cardTerminal.charge.bind(outside.cardTerminal);
    let gone: jest.SpyInstance | null = null;
    const charging = jest.spyOn(outside.cardTerminal, "charge").mockImplementationOnce(async (...asked) => {
      const answer = await really(...asked);
      gone = jest
        .spyOn(db.connectionManager, "getConnection")
        .mockRejectedValue(new ConnectionError(new Error("gone")));
      return answer;
    });
    const paymentId = uuid();
    const { body } = await pay(paymentId);
    expect(body).toMatchObject({ status: 503, code: "request/outcome-unknown" });
    expect(body.detail).toMatch(/not known here whether the card was charged/);
    expect(body.detail).not.toMatch(/nothing was|not charged/i);
    charging.mockRestore();
    (gone as jest.SpyInstance | null)?.mockRestore();
    const settled = await until(view, ({ state }) => state.payments.some(({ id }) => id === paymentId));
    expect(settled.state.payments.filter(({ id }) => id === paymentId)).toMatchObject([{ status: "taken" }]);
    expect((await charged()) - before).toBe(1);
    expect((await pay(paymentId)).status).toBe(200);
    expect((await charged()) - before).toBe(1);
  });

  it("is not said to be unknown, nor to be sent again, where the database went away before the terminal was asked", async () => {
    const before = await charged();
    const { db } = server.running.deps;
    const gone = jest.spyOn(db, "transaction").mockRejectedValueOnce(new ConnectionError(new Error("gone")));
    const { body } = await pay(uuid());
    gone.mockRestore();
    expect(body).toMatchObject({ status: 503, code: "database/unreachable" });
    expect(body.detail).toMatch(/the card was not charged/);
    expect(await charged()).toBe(before);
  });

  it("that is not clear is shown on the sheet and in the list, and cash beside it is marked", async () => {
    await server.fault("terminal", "down");
    const { dueCents } = balanceOf((await view()).state);
    const unclear = uuid();
    expect((await pay(unclear, dueCents)).body.code).toBe("payment/terminal-unreachable");
    expect((await view()).requests).toContainEqual(
      expect.objectContaining({ kind: "cardCharge", status: "asked", amountCents: dueCents }),
    );
    const listed = (await openOrders(odile)).find(({ id }) => id === orderId);
    expect(listed?.unclearCents).toBe(dueCents);
    expect((await pay(uuid(), dueCents)).body).toMatchObject({ code: "payment/nothing-due" });
    const cash = { type: "takeCash", paymentId: uuid(), amountCents: dueCents, tenderedCents: dueCents };
    const { body } = await sendCommand(odile, orderId, cash);
    expect(body.outcomes[0]).toMatchObject({ outcome: "applied", conflicts: [expect.any(String)] });
    expect(body.workOrder.state.conflicts.map(({ code }) => code)).toContain("payment/charge-unclear");
    await server.fault("terminal", "none");
    // It never reached the terminal, and is owed no more: asked again it is given up there, and not charged now.
    expect((await pay(unclear, dueCents)).body.code).toBe("payment/given-up");
    await until(view, ({ requests }) => requests.every(({ status }) => status !== "asked"));
    expect(
      (await view()).state.payments.filter(({ method, status }) => method === "card" && status === "taken"),
    ).toHaveLength(2);
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

it("of two businesses under one id are two: two cards charged, two texts sent, each recorded where it belongs", async () => {
  const other = await addOtherBusiness(server);
  const theirs = await server.signInAs("odile-there", "lantern-7");
  const theirOrder = await findOrder(theirs, "Petra");
  const ourOrder = (await openOrders(odile)).find(({ dueCents, id }) => dueCents > 0 && id !== orderId);
  const mine = ourOrder?.id ?? "";
  const [shared, text] = [uuid(), uuid()];
  await agreedOn(theirs, theirOrder.id);
  const before = await charged();
  const paid = await Promise.all([
    odile.post(`/api/work-orders/${mine}/card-payments`, { paymentId: shared, amountCents: 101 }),
    theirs.post(`/api/work-orders/${theirOrder.id}/card-payments`, { paymentId: shared, amountCents: 202 }),
  ]);
  expect(paid.map(({ status }) => status)).toEqual([200, 200]);
  expect((await charged()) - before).toBe(2);
  const amounts = await Promise.all(
    [
      [odile, mine],
      [theirs, theirOrder.id],
    ].map(
      async ([who, id]) =>
        (await (who as TestPerson).get<WorkOrderView>(`/api/work-orders/${id as string}`)).body.state.payments.find(
          (each) => each.id === shared,
        )?.amountCents,
    ),
  );
  expect(amounts).toEqual([101, 202]);
  const sent = (await server.sentMessages()).length;
  for (const [who, id] of [
    [odile, mine],
    [theirs, theirOrder.id],
  ] as const)
    expect((await who.post(`/api/work-orders/${id}/receipt-messages`, { messageId: text })).status).toBe(200);
  const texts = await until(
    () => server.sentMessages(),
    (all) => all.length >= sent + 2,
  );
  expect(texts.slice(sent)).toHaveLength(2);
  const whose = await server.db.query<{ business_id: string }>("select business_id from messages where id = $1", {
    bind: [text],
    type: QueryTypes.SELECT,
  });
  expect(new Set(whose.map((row) => row.business_id)).size).toBe(2);
  expect(whose.map((row) => row.business_id)).toContain(other.id);
});

/** Gets a yes to a job, so that something is owed. */
async function agreedOn(who: TestPerson, id: string): Promise<void> {
  const [jobId, lineIds] = [uuid(), [uuid()]];
  await sendCommand(who, id, {
    type: "addJob",
    jobId,
    libraryJobId: "diagnosis",
    lineIds,
    concernId: null,
    pointIds: [],
  });
  const totalCents = jobTotals((await who.get<WorkOrderView>(`/api/work-orders/${id}`)).body.state).get(jobId) ?? 0;
  const answers = [{ jobId, title: "", answer: "yes", totalCents }];
  await sendCommand(who, id, {
    type: "recordAnswers",
    approvalId: uuid(),
    way: "spoken",
    name: "P",
    signature: [],
    answers,
    totalCents,
  });
}
