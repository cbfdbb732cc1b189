import { sealedCopy } from "@mechanon/core";
import type { AgreedCopy } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { Scope } from "../scope";
import { findWorkOrder } from "../workOrders/service";

/** The frozen copies of what was agreed on a work order, in their order. @throws {AppError} `work-order/not-found`. */
export async function copiesOf(db: Sequelize, scope: Scope, workOrderId: string): Promise<AgreedCopy[]> {
  await findWorkOrder(scope, workOrderId);
  const rows = await askPrepared(
    db,
    `select place, facts, person, photos, salts, digests, previous, link from agreed_copies
     where business_id = $1 and work_order_id = $2 order by place`,
    [scope.businessId, workOrderId],
  );
  return rows.map((row) => {
    const { salts: _kept, ...copy } = sealedCopy.parse(row);
    return copy;
  });
}
