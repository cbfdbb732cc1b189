import { z } from "zod";
import { quoteSlice } from "../quoting/slice";
import { WORK_ORDER_VERSION, type WorkOrderState } from "./state";

/** A stored work order of any version. What was stored was checked when it was written. */
export type StoredWorkOrder = WorkOrderState | Readonly<Record<string, unknown>>;

/**
 * A stored work order as it is written now. One of this version is handed back as it is, which is what nearly always
 * happens; no stored one is rewritten for the sake of its version.
 *
 * @throws {RangeError} for a version this program does not know: the database is ahead of it.
 */
export function upgradeWorkOrder(stored: StoredWorkOrder): WorkOrderState {
  if (isCurrent(stored)) return stored;
  const version = stored.version ?? 1;
  if (version === 1) return upgradeWorkOrder(fromVersion1(stored));
  throw new RangeError(`work orders of version ${JSON.stringify(version)} are not known here`);
}

function isCurrent(stored: StoredWorkOrder): stored is WorkOrderState {
  return stored.version === WORK_ORDER_VERSION;
}

const version1 = z.looseObject({
  jobs: quoteSlice.shape.jobs,
  orders: z.array(z.looseObject({ items: z.array(z.looseObject({ lineId: z.string(), quantity: z.number() })) })),
  received: z.array(z.looseObject({ lineId: z.string() })),
});

/** Orders got the supplier's id, receipts their quantity: until then a line came whole. */
function fromVersion1(stored: Readonly<Record<string, unknown>>): StoredWorkOrder {
  const { orders, received, jobs } = version1.parse(stored);
  const wanted = new Map(jobs.flatMap(({ lines }) => lines).map((line) => [line.id, line]));
  const quantityOf = (lineId: string): number => {
    const ordered = orders.flatMap(({ items }) => items).find((item) => item.lineId === lineId);
    const line = wanted.get(lineId);
    return ordered?.quantity ?? (line && "quantity" in line ? line.quantity : 1);
  };
  return {
    ...stored,
    orders: orders.map((order) => ({ supplierId: null, ...order })),
    received: received.map((receipt) => ({ ...receipt, quantity: quantityOf(receipt.lineId) })),
    version: 2,
  };
}
