import { sealedCopy, type SealedCopy } from "@mechanon/core";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { Scope } from "../scope";
import { findWorkOrder } from "../workOrders/service";

/** The frozen copies of what was agreed on a work order, in their order. @throws {AppError} `work-order/not-found`. */
export async function copiesOf(db: Sequelize, scope: Scope, workOrderId: string): Promise<SealedCopy[]> {
  await findWorkOrder(scope, workOrderId);
  const rows = await askPrepared(
    db,
    `select place, facts, person, photos, salts, digests, previous, link from agreed_copies
     where business_id = $1 and work_order_id = $2 order by place`,
    [scope.businessId, workOrderId],
  );
  return rows.map((row) => sealedCopy.parse(row));
}
