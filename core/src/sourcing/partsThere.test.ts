import { yes, run, start } from "../testing/sampleWorkOrder";
import type { WorkOrderState } from "../workOrders/state";
import { partsThereAt } from "./partsThere";

const NOW = "2026-11-27T10:00:00.000Z";
const LATER = "2026-11-28T09:00:00.000Z";
const agreed = (): WorkOrderState =>
  yes(run(start(), { type: "addJob", jobId: "j", libraryJobId: "brakes", lineIds: ["l", "p"], concernId: null, pointIds: [] })); // prettier-ignore
const offer = (over: object = {}) => ({ partNumber: "P", available: 2, readyAt: LATER, ...over });

it.each([
  ["one can have it", [offer()], LATER],
  ["the sooner of two", [offer({ readyAt: "2026-11-29T09:00:00.000Z" }), offer()], LATER],
  ["it is there before now", [offer({ readyAt: "2026-11-01T09:00:00.000Z" })], NOW],
  ["nobody has enough", [offer({ available: 0 })], null],
  ["nobody has it", [], null],
])("where %s", (_name, offers, there) => {
  expect(partsThereAt(agreed(), offers, NOW)).toBe(there);
});

it("an order is there when its supplier said, and where nobody said nobody can", () => {
  const order = (readyAt: string | null): WorkOrderState => ({
    ...agreed(),
    orders: [
      {
        ...{ id: "o", at: NOW, by: "me", supplierId: "g", supplier: "Gull", orderNumber: "1", readyAt },
        items: [{ lineId: "p", partNumber: "P", quantity: 1, costCents: 1 }],
      },
    ],
  });
  expect(partsThereAt(order(LATER), [], NOW)).toBe(LATER);
  expect(partsThereAt(order(null), [], NOW)).toBeNull();
});
