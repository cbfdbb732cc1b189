import type { Sequelize, Transaction } from "sequelize";
import { notifyChange } from "../events/notify";
import type { Message } from "./model";

/** Tells every device that something happened to a message: where it stands, and in the list of what waits. */
export async function tellOfMessage(
  db: Sequelize,
  { businessId, id, workOrderId }: Pick<Message, "businessId" | "id" | "workOrderId">,
  transaction: Transaction,
): Promise<void> {
  await notifyChange(db, businessId, { kind: "message", id, revision: 0 }, transaction);
  if (workOrderId !== null)
    await notifyChange(db, businessId, { kind: "workOrder", id: workOrderId, revision: 0 }, transaction);
}
