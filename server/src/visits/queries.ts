import type { VisitState } from "@mechanon/core";
import type { Transaction } from "sequelize";
import { VisitRow, VisitWorkOrder } from "../db/models";

/** Visits of work orders, earliest first, by work order. */
export async function visitsOf(
  businessId: string,
  workOrderIds: string[],
  transaction?: Transaction,
): Promise<Map<string, VisitState[]>> {
  const links = await VisitWorkOrder.findAll({ where: { businessId, workOrderId: workOrderIds }, transaction });
  const visits = await VisitRow.findAll({
    where: { businessId, id: [...new Set(links.map(({ visitId }) => visitId))] },
    order: ["startsAt"],
    transaction,
  });
  const found = new Map<string, VisitState[]>(workOrderIds.map((id) => [id, []]));
  for (const visit of visits)
    for (const link of links) if (link.visitId === visit.id) found.get(link.workOrderId)?.push(visit.state);
  return found;
}
