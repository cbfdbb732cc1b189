import { balanceOf } from "../payments/balance";
import { run, start, yes } from "../testing/sampleWorkOrder";
import type { WorkOrderCommand } from "./commands";
import { ledgerOf } from "./ledger";

const added = run(start(), {
  type: "addJob",
  jobId: "brakes",
  libraryJobId: "brakes",
  lineIds: ["b1", "b2"],
  concernId: null,
  pointIds: [],
});
const agreed = yes(added);
const order = (orderId: string, quantity: number): WorkOrderCommand => ({
  type: "recordPartsOrder",
  orderId,
  supplierId: "gull",
  supplier: "Gull",
  orderNumber: orderId,
  readyAt: null,
  items: [{ lineId: "b2", partNumber: "P", quantity, costCents: 100 }],
});
const received = run(run(run(agreed, order("o1", 1)), order("o2", 2)), {
  type: "receiveParts",
  items: [{ lineId: "b2", quantity: 2 }],
});
const paid = run(received, { type: "takeCash", paymentId: "p", amountCents: 500, tenderedCents: 1000 });

it("tells bills, payments, approvals and ordered parts as rows", () => {
  const ledger = ledgerOf(paid);
  const { totalCents, dueCents } = balanceOf(paid);
  expect(ledger.bills).toEqual([{ payer: "customer", total_cents: totalCents, paid_cents: 500, due_cents: dueCents }]);
  expect(ledger.payments).toMatchObject([{ position: 0, id: "p", amount_cents: 500, tendered_cents: 1000 }]);
  expect(ledger.approvals).toMatchObject([{ way: "signed" }]);
  expect(ledger.approval_answers).toMatchObject([{ job_id: "brakes", answer: "yes" }]);
});

it("tells what came to the first order until that is all in hand", () => {
  expect(
    ledgerOf(paid).ordered_parts?.map(({ order_id: id, quantity, received_quantity: got }) => [id, quantity, got]),
  ).toEqual([
    ["o1", 1, 1],
    ["o2", 2, 1],
  ]);
});

it("leaves out what did not change since it was last written", () => {
  expect(Object.keys(ledgerOf(paid, received))).toEqual(["bills", "payments"]);
  expect(Object.keys(ledgerOf(run(paid, { type: "recordOdometer", miles: 1 }), paid))).toEqual([]);
  expect(Object.keys(ledgerOf(agreed, added))).toEqual(["bills", "approvals", "approval_answers"]);
});
