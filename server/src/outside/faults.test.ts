import { v7 as uuid } from "uuid";
import type { ReceiptView, WorkOrderView } from "@mechanon/contract";
import {
  findOrder,
  openOrders,
  sendCommand,
  startTestServer,
  until,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());
let isOutsideUp = true;
afterEach(async () => {
  if (!isOutsideUp) return;
  for (const service of ["register", "supplier", "terminal", "messages"]) await server.fault(service, "none");
});

const view = async (id: string): Promise<WorkOrderView> =>
  (await odile.get<WorkOrderView>(`/api/work-orders/${id}`)).body;

describe("the card terminal", () => {
  let id: string;
  let due: number;
  beforeAll(async () => {
    const order = await findOrder(odile, "Bram");
    const all = await openOrders(odile);
    const owing = all.find(({ waitsFor }) => waitsFor === "money") ?? order;
    [id, due] = [owing.id, owing.dueCents];
  });
  const charge = (paymentId: string, amountCents = due) =>
    odile.post<{ result: string; code: string }>(`/api/work-orders/${id}/card-payments`, { paymentId, amountCents });

  it("declines: nothing is taken, the try is on record", async () => {
    await server.fault("terminal", "declined", 1);
    expect((await charge(uuid())).body).toMatchObject({ result: "declined" });
    expect((await view(id)).state.payments).toMatchObject([{ status: "declined" }]);
  });

  it("takes no more than is owed", async () => {
    expect((await charge(uuid(), due + 1)).body).toMatchObject({ status: 409, code: "payment/amount-too-high" });
  });

  it("is down: the outcome is unknown, the charge stays open, and asking again settles it", async () => {
    const paymentId = uuid();
    await server.fault("terminal", "down");
    expect((await charge(paymentId)).body).toMatchObject({ status: 503, code: "payment/terminal-unreachable" });
    expect((await view(id)).requests).toMatchObject([
      { id: paymentId, kind: "cardCharge", status: "asked", amountCents: due },
    ]);
    expect((await charge(uuid())).body).toMatchObject({ code: "payment/nothing-due" });
    await server.fault("terminal", "declined", 1);
    expect((await charge(paymentId)).body).toMatchObject({ result: "declined" });
    expect((await view(id)).requests).toEqual([]);
  });

  it("loses its answer after charging: charged once, recorded once, whoever asks how often", async () => {
    const paymentId = uuid();
    await server.fault("terminal", "answerLost", 1);
    const answers = await Promise.all([charge(paymentId), charge(paymentId), charge(paymentId)]);
    for (const { body } of answers) expect(body).toMatchObject({ result: "taken" });
    const taken = (await view(id)).state.payments.filter(({ status }) => status === "taken");
    expect(taken).toHaveLength(1);
    expect(taken[0]).toMatchObject({ id: paymentId, amountCents: due });
    expect((await charge(uuid())).body).toMatchObject({ code: "payment/nothing-due" });
  });
});

describe("the supplier", () => {
  let id: string;
  beforeAll(async () => {
    id = (await findOrder(odile, "2019 Ford F-150").catch(() => findOrder(odile, "Jasper"))).id;
    const orders = await openOrders(odile);
    id =
      orders.find(({ waitsFor, customerName }) => waitsFor === "parts" && customerName.startsWith("Jasper"))?.id ?? id;
  });
  const lineIds = async (): Promise<string[]> =>
    (await view(id)).state.jobs.flatMap(({ lines }) =>
      lines.filter(({ kind }) => kind === "part").map((line) => line.id),
    );
  const order = async (orderId: string, acceptChangedCost = false) =>
    odile.post<{ code: string; workOrder: WorkOrderView }>(`/api/work-orders/${id}/part-orders`, {
      orderId,
      lineIds: await lineIds(),
      acceptChangedCost,
    });

  it.each([
    ["down", "parts/supplier-unreachable", 503],
    ["wrongPrice", "parts/offer-changed", 409],
    ["outOfStock", "parts/supplier-refused", 409],
  ])("%s: nothing is ordered, and it says so", async (fault, code, status) => {
    await server.fault("supplier", fault);
    expect((await order(uuid())).body).toMatchObject({ code, status });
    expect((await view(id)).state.orders).toEqual([]);
  });

  it("loses its answer after taking the order: ordered once, with its number", async () => {
    const orderId = uuid();
    await server.fault("supplier", "answerLost", 1);
    const { body } = await order(orderId);
    expect(body.workOrder.state.orders).toMatchObject([
      { id: orderId, supplier: "Gull Harbor Parts", orderNumber: expect.stringMatching(/^GH-\d{6}$/) as unknown },
    ]);
    const again = await order(orderId);
    expect(again.body.workOrder.state.orders).toHaveLength(1);
    expect((await order(uuid())).body).toMatchObject({ code: "parts/nothing-to-order" });
  });
});

describe("the plate register", () => {
  it("knows a car, two cars, none; and ours without being asked", async () => {
    expect((await odile.get("/api/plates/wa/FRY-5O83")).body).toMatchObject({
      guesses: [{ make: "Ford", model: "Fusion", year: 2015, plate: "FRY5O83" }],
      known: null,
    });
    expect((await odile.get<{ guesses: unknown[] }>("/api/plates/OR/TWN2002")).body.guesses).toHaveLength(2);
    expect((await odile.get("/api/plates/WA/NONE1")).body).toMatchObject({ code: "plate/unknown", status: 404 });
    await server.fault("register", "down");
    expect((await odile.get("/api/plates/WA/LRK1204")).body).toMatchObject({
      known: { customerName: "Maren Oyelaran" },
    });
    expect((await odile.get("/api/plates/WA/KLP7724")).body).toMatchObject({
      code: "plate/register-unreachable",
      status: 503,
    });
  });
  it("is too slow: it is said, not waited for", async () => {
    const hurried = await server.signIn("odile", (await server.startSecond({ outsideTimeoutMs: 300 })).url);
    await server.fault("register", "slow");
    expect((await hurried.get("/api/plates/WA/MST3309")).body).toMatchObject({ code: "plate/register-unreachable" });
  });
});

describe("messages", () => {
  it("wait while the service is down, go out once when it is back, and their link opens", async () => {
    const { id } = await findOrder(odile, "Delphine");
    const messageId = uuid();
    await server.fault("messages", "down", 3);
    for (let again = 0; again < 2; again++)
      expect((await odile.post(`/api/work-orders/${id}/receipt-messages`, { messageId })).status).toBe(200);
    const sent = await until(
      () => server.sentMessages(),
      (messages) => messages.length > 0,
      300,
    );
    expect(sent).toMatchObject([
      { to: "+13605550119", text: expect.stringMatching(/Your receipt: http:\/\/\S+\/r\/[\w-]{32}$/) as unknown },
    ]);
    await until(
      () => view(id),
      ({ messages }) => messages[0]?.status === "sent",
    );
    const token = sent[0]?.text.split("/r/")[1] ?? "";
    const receipt = await server.stranger().get<ReceiptView>(`/api/public/receipts/${token}`);
    expect(receipt.body).toMatchObject({ customerName: "Delphine Marsh", dueCents: 0 });
    expect(JSON.stringify(receipt.body)).not.toMatch(/cost|margin|wage/i);
    const pdf = await server.stranger().get<string>(`/api/public/receipts/${token}/pdf`);
    expect(pdf.headers.get("content-type")).toBe("application/pdf");
    expect((await server.stranger().get(`/api/public/receipts/${"x".repeat(32)}`)).body).toMatchObject({
      code: "receipt/not-found",
    });
  });
});

it("goes on without any of them", async () => {
  await server.stopStandins();
  isOutsideUp = false;
  const { id } = await findOrder(odile, "Noor");
  expect(
    (await sendCommand(odile, id, { type: "recordOdometer", miles: 99 })).body.workOrder.state.odometerMiles?.value,
  ).toBe(99);
});
