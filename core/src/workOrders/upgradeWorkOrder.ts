import { z } from "zod";
import { ONLY_KEY } from "../inspection/point";
import { NOTHING_SEEN } from "./openWorkOrder";
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
  if (version === 2) return upgradeWorkOrder(fromVersion2(stored));
  throw new RangeError(`work orders of version ${JSON.stringify(version)} are not known here`);
}

function isCurrent(stored: StoredWorkOrder): stored is WorkOrderState {
  return stored.version === WORK_ORDER_VERSION;
}

const version1 = z.looseObject({
  jobs: z.array(z.looseObject({ lines: z.array(z.looseObject({ id: z.string() })) })),
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
    return ordered?.quantity ?? (typeof line?.quantity === "number" ? line.quantity : 1);
  };
  return {
    ...stored,
    orders: orders.map((order) => ({ supplierId: null, ...order })),
    received: received.map((receipt) => ({ ...receipt, quantity: quantityOf(receipt.lineId) })),
    version: 2,
  };
}

const version2 = z.looseObject({
  jobs: z.array(z.looseObject({ pointId: z.string().nullable() })),
  findings: z.array(
    z.looseObject({
      pointId: z.string(),
      measured: z.number().nullable(),
      photoIds: z.array(z.string()),
      at: z.string(),
      by: z.string(),
    }),
  ),
});

/** A finding had one measurement and its own photos, a job one finding; of arrivals, sheets and codes nothing was kept. */
function fromVersion2(stored: Readonly<Record<string, unknown>>): StoredWorkOrder {
  const { jobs, findings } = version2.parse(stored);
  return {
    ...NOTHING_SEEN,
    ...stored,
    jobs: jobs.map(({ pointId, ...job }) => ({ ...job, pointIds: pointId === null ? [] : [pointId] })),
    findings: findings.map(({ measured, photoIds: _own, ...each }) => ({
      ...each,
      measures: measured === null ? {} : { [ONLY_KEY]: measured },
    })),
    pictures: findings.flatMap(({ pointId, photoIds, at, by }) =>
      photoIds.map((photoId) => ({
        ...{ photoId, media: "photo", of: "point", id: pointId, moment: null, drawnOn: null, at, by },
      })),
    ),
    version: 3,
  };
}
