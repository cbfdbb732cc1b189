import type { MoveAsk } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../../db/askPrepared";
import { queueMessage } from "../../messages/service";
import type { Scope } from "../../scope";
import { listMoveAsks } from "./listMoveAsks";

/** Sends the messages that ask; each goes out once, and whoever may not be texted is left for a call. */
export async function sendMoveAsks(db: Sequelize, scope: Scope, ids: readonly string[]): Promise<MoveAsk[]> {
  await db.transaction(async (transaction) => {
    const ready = await askPrepared<{
      id: string;
      visitId: string;
      recipient: string;
      message: string;
      subject: string | null;
    }>(
      db,
      `update move_asks set sent_at = now()
       where business_id = $1 and id = any($2::uuid[]) and sent_at is null and recipient is not null and answer is null
       returning id, visit_id as "visitId", recipient, message, subject`,
      [scope.businessId, ids],
      transaction,
    );
    for (const { id, visitId, recipient, message: text, subject } of ready) {
      const [order] = await askPrepared<{ workOrderId: string; customerId: string | null }>(
        db,
        `select w.id as "workOrderId", w.customer_id as "customerId" from visit_work_orders l
         join work_orders w on w.business_id = l.business_id and w.id = l.work_order_id
         where l.business_id = $1 and l.visit_id = $2 order by w.id limit 1`,
        [scope.businessId, visitId],
        transaction,
      );
      if (!order) continue;
      const channel = subject === null ? "text" : "mail";
      const message = { ...order, id, visitId, kind: "newTime" as const, channel, recipient, subject, text } as const;
      await queueMessage(db, scope, message, transaction);
    }
  });
  return listMoveAsks(db, scope);
}
