import { QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import type { Customer, ReceiptView, WorkOrderView } from "@mechanon/contract";
import {
  findOrder,
  findSheet,
  sendCommand,
  startTestServer,
  type HttpAnswer,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";
import { hasEnded, liveLinks, type ReceiptLink } from "./receiptLinks";

let server: TestServer;
let odile: TestPerson;
let orderId: string;
beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
  orderId = (await findOrder(odile, "Maren")).id;
});
afterAll(() => server?.stop());

const view = async (): Promise<WorkOrderView> => (await odile.get<WorkOrderView>(`/api/work-orders/${orderId}`)).body;
/** Texts the receipt. @returns The token of its link. */
async function sendReceipt(messageId = uuid()): Promise<string> {
  const { status } = await odile.post(`/api/work-orders/${orderId}/receipt-messages`, { messageId });
  expect(status).toBe(200);
  const { messages } = await view();
  return /\/r\/([\w-]+)/.exec(messages.find(({ id }) => id === messageId)?.text ?? "")?.[1] ?? "";
}
const open = (token: string): Promise<HttpAnswer<ReceiptView & { code: string }>> =>
  server.stranger().get(`/api/public/receipts/${token}`);
const change = (command: object): Promise<HttpAnswer> => sendCommand(odile, orderId, command);

describe("a receipt that was sent", () => {
  it("stays what it was, whatever is changed after; the next one tells of it", async () => {
    const token = await sendReceipt();
    const before = (await open(token)).body;
    await change({ type: "recordOdometer", miles: 654_321 });
    const { customer } = await findSheet(odile, "Maren");
    const { id, createdAt: _at, erasedAt: _erased, ...fields } = customer;
    await odile.send("PATCH", `/api/customers/${id}`, { ...fields, name: "Maren Married" });
    expect((await open(token)).body).toEqual(before);
    expect(before).toMatchObject({ customerName: "Maren Oyelaran" });
    const next = (await open(await sendReceipt())).body;
    expect(next).toMatchObject({ customerName: "Maren Married", odometerMiles: 654_321 });
    expect(JSON.stringify(before)).not.toMatch(/costCents|wageCents|markup/);
    expect((await server.stranger().get(`/api/public/receipts/${token}/pdf`)).headers.get("content-type")).toBe(
      "application/pdf",
    );
  });

  it("makes no second link for a text that is sent again", async () => {
    const messageId = uuid();
    expect(await sendReceipt(messageId)).toBe(await sendReceipt(messageId));
    const rows = await server.db.query("select from directory.receipt_links where sent_to <> ''", {
      type: QueryTypes.SELECT,
    });
    expect(rows).toHaveLength((await view()).messages.filter(({ text }) => text.includes("/r/")).length);
  });
});

describe("a link", () => {
  it("ends for the former customer when the work order goes to another, and never shows the next one's name", async () => {
    const token = await sendReceipt();
    const { customerId } = (await view()).state;
    const { customer: other } = await findSheet(odile, "Petra");
    await change({ type: "changeCustomer", customerId: other.id, keepAnswers: true });
    expect((await open(token)).body).toMatchObject({ status: 410, code: "receipt/link-ended" });
    expect((await view()).receiptLinks).toEqual([]);
    // It was sent to who it is for again.
    await change({ type: "changeCustomer", customerId, keepAnswers: true });
    expect((await open(token)).status).toBe(200);
  });

  it("ends with the car it was for", async () => {
    const token = await sendReceipt();
    const { vehicleId } = (await view()).state;
    await change({ type: "changeVehicle", vehicleId: null, keepFindings: true, keepAnswers: true });
    expect((await open(token)).body.code).toBe("receipt/link-ended");
    await change({ type: "changeVehicle", vehicleId, keepFindings: true, keepAnswers: true });
    expect((await open(token)).status).toBe(200);
  });

  it("goes on when the customer's record becomes part of another of theirs", async () => {
    const token = await sendReceipt();
    const { customerId } = (await view()).state;
    const id = uuid();
    const kept = await odile.post<Customer>("/api/customers", { id, name: "Maren O." }, { "Idempotency-Key": id });
    const merged = await odile.post<{ mergeId: string }>(
      `/api/customers/${kept.body.id}/merges`,
      { mergedId: customerId },
      { "Idempotency-Key": uuid() },
    );
    expect(merged.status).toBe(201);
    expect((await view()).state.customerId).toBe(id);
    // It can be called back still.
    expect((await view()).receiptLinks.length).toBeGreaterThan(0);
    expect((await open(token)).status).toBe(200);
    await odile.post(`/api/merges/${merged.body.mergeId}/undo`, undefined);
    expect((await open(token)).status).toBe(200);
  });

  it("is called back, by whoever sees the work order; the next one opens", async () => {
    const token = await sendReceipt();
    expect((await view()).receiptLinks.length).toBeGreaterThan(0);
    const { body } = await odile.send<{ workOrder: WorkOrderView }>(
      "DELETE",
      `/api/work-orders/${orderId}/receipt-links`,
    );
    expect(body.workOrder.receiptLinks).toEqual([]);
    expect((await open(token)).body.code).toBe("receipt/link-ended");
    expect((await open(await sendReceipt())).status).toBe(200);
    expect((await view()).receiptLinks).toHaveLength(1);
  });

  it("ends after the owner's span, eighteen months unless they say otherwise", async () => {
    const token = await sendReceipt();
    const age = (days: number): Promise<unknown> =>
      server.db.query(
        "update directory.receipt_links set created_at = now() - make_interval(days => $1) where token = $2",
        { bind: [days, token] },
      );
    await age(540);
    expect((await open(token)).status).toBe(200);
    await age(552);
    expect((await open(token)).body.code).toBe("receipt/link-ended");
    expect((await odile.send("PATCH", "/api/business/receipt-links", { months: 24 })).status).toBe(200);
    expect((await open(token)).status).toBe(200);
    const tomas = await server.signIn("tomas");
    expect((await tomas.send("PATCH", "/api/business/receipt-links", { months: 1 })).status).toBe(403);
  });

  it("of before links kept what they were sent with shows from its first opening on what it showed then", async () => {
    const token = await sendReceipt();
    await server.db.query("update directory.receipt_links set receipt = null where token = $1", { bind: [token] });
    const first = (await open(token)).body;
    await change({ type: "recordOdometer", miles: 700_000 });
    expect((await open(token)).body).toEqual(first);
  });

  it("nobody gave out leads nowhere", async () => {
    expect((await open("x".repeat(32))).body).toMatchObject({ status: 404, code: "receipt/not-found" });
    expect((await open("short")).status).toBe(422);
  });
});

it("reaches a customer so often an hour, and no oftener", async () => {
  await server.db.query("delete from request_counts");
  const statuses: number[] = [];
  for (let text = 0; text < 22; text++)
    statuses.push((await odile.post(`/api/work-orders/${orderId}/receipt-messages`, { messageId: uuid() })).status);
  expect(statuses.filter((status) => status === 200)).toHaveLength(20);
  expect(statuses.at(-1)).toBe(429);
});

it("ends at the end of a month as a calendar does", () => {
  const link = { createdAt: new Date("2026-08-31T12:00:00Z"), calledBackAt: null } as ReceiptLink;
  expect(hasEnded(link, 18, new Date("2028-02-29T11:59:00Z"))).toBe(false);
  expect(hasEnded(link, 18, new Date("2028-02-29T12:01:00Z"))).toBe(true);
  expect(hasEnded({ ...link, calledBackAt: new Date() }, 18, new Date("2026-09-01T00:00:00Z"))).toBe(true);
  const sent = [
    { sentTo: "+1", at: "2026-01-01T00:00:00Z" },
    { sentTo: "+2", at: "2026-06-01T00:00:00Z" },
  ];
  expect(liveLinks(sent, 3, new Date("2026-07-01T00:00:00Z"))).toEqual([
    { sentTo: "+2", at: sent[1]?.at, endsAt: "2026-09-01T00:00:00.000Z" },
  ]);
});
