import type { MoveAsk } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../../db/askPrepared";
import { queueMessage } from "../../messages/service";
import type { Scope } from "../../scope";
import { listMoveAsks } from "./listMoveAsks";

/** Sends the messages that ask; each goes out once, and whoever may not be texted is left for a call. */
export async function sendMoveAsks(db: Sequelize, scope: Scope, ids: readonly string[]): Promise<MoveAsk[]> {
  await db.transaction(async (transaction) => {
    const ready = await askPrepared<{ id: string; visitId: string; recipient: string; message: string }>(
      db,
      `update move_asks set sent_at = now()
       where business_id = $1 and id = any($2::uuid[]) and sent_at is null and recipient is not null and answer is null
       returning id, visit_id as "visitId", recipient, message`,
      [scope.businessId, ids],
      transaction,
    );
    for (const { id, visitId, recipient, message: text } of ready) {
      const [order] = await askPrepared<{ workOrderId: string }>(
        db,
        `select work_order_id as "workOrderId" from visit_work_orders where business_id = $1 and visit_id = $2
         order by work_order_id limit 1`,
        [scope.businessId, visitId],
        transaction,
      );
      if (order) await queueMessage(db, scope, { id, workOrderId: order.workOrderId, recipient, text }, transaction);
    }
  });
  return listMoveAsks(db, scope);
}
