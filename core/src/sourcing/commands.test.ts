import { run, start, yes } from "../testing/sampleWorkOrder";
import type { WorkOrderState } from "../workOrders/state";
import { approvedParts, quantityToBuy, quantityToCome } from "./partStatus";

/** Two pads agreed to. */
function agreed(): WorkOrderState {
  const added = run(start(), {
    type: "addJob",
    jobId: "brakes",
    libraryJobId: "brakes",
    lineIds: ["b1", "b2"],
    concernId: null,
    pointIds: [],
  });
  return yes(run(added, { type: "changeLine", lineId: "b2", hours: null, quantity: 2, priceCents: null }));
}
const order = (state: WorkOrderState, orderId: string, quantity: number): WorkOrderState =>
  run(state, {
    type: "recordPartsOrder",
    orderId,
    supplierId: "gull",
    supplier: "Gull",
    orderNumber: orderId,
    readyAt: null,
    items: [{ lineId: "b2", partNumber: "P", quantity, costCents: 100 }],
  });
const receive = (state: WorkOrderState, quantity: number | null): WorkOrderState =>
  run(state, { type: "receiveParts", items: [{ lineId: "b2", quantity }] });
const pads = { id: "b2", quantity: 2 };

it("buys the rest where one of two was ordered, and is on order once both are", () => {
  const one = order(agreed(), "o1", 1);
  expect(approvedParts(one, "needed").map(({ id }) => id)).toEqual(["b2"]);
  expect(quantityToBuy(one, pads)).toBe(1);
  const both = order(one, "o2", 1);
  expect([approvedParts(both, "needed"), quantityToBuy(both, pads)]).toEqual([[], 0]);
  expect(both.conflicts).toEqual([]);
});

it("is in hand once all came, in one go or in two", () => {
  const ordered = order(agreed(), "o1", 2);
  const half = receive(ordered, 1);
  expect(quantityToCome(half, pads)).toBe(1);
  expect(approvedParts(half, "ordered")).toHaveLength(1);
  expect(approvedParts(receive(half, null), "inHand")).toHaveLength(1);
  expect(receive(half, null).received.map(({ quantity }) => quantity)).toEqual([1, 1]);
  expect(receive(receive(half, null), null).received).toHaveLength(2);
});

it("marks parts ordered twice, and records an order told twice once", () => {
  const twice = order(order(agreed(), "o1", 2), "o2", 2);
  expect(twice.orders).toHaveLength(2);
  expect(twice.conflicts).toMatchObject([{ code: "part/ordered-twice", detail: "Pad set" }]);
  const again = order(order(agreed(), "o1", 2), "o1", 2);
  expect([again.orders.length, again.conflicts.length]).toEqual([1, 0]);
});
