import { upgradeWorkOrder, type CustomerDetails, type VisitState, type WorkOrderState } from "@mechanon/core";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";

/** A visit with the work orders it serves. */
export interface VisitWithWork {
  visit: VisitState;
  orders: { id: string; state: WorkOrderState; customer: CustomerDetails | null; customerName: string }[];
}

const ORDERS = `
  select w.id, w.state, c.details as customer, coalesce(c.name, '') as "customerName" from work_orders w
  left join customers c on c.business_id = w.business_id and c.id = w.customer_id
  where w.business_id = $1 and w.id = any($2::uuid[])`;

/** Visits with what they are for. */
export async function withWork(
  db: Sequelize,
  businessId: string,
  visits: readonly VisitState[],
): Promise<VisitWithWork[]> {
  const rows = await askPrepared<{
    id: string;
    state: Readonly<Record<string, unknown>>;
    customer: CustomerDetails | null;
    customerName: string;
  }>(db, ORDERS, [businessId, visits.flatMap(({ workOrderIds }) => workOrderIds)]);
  const orders = new Map(rows.map(({ state, ...row }) => [row.id, { ...row, state: upgradeWorkOrder(state) }]));
  return visits.map((visit) => ({ visit, orders: visit.workOrderIds.flatMap((id) => orders.get(id) ?? []) }));
}

/** What a visit is for, all its cars together. */
export function workOf({ orders }: Pick<VisitWithWork, "orders">): Pick<WorkOrderState, "jobs" | "concerns"> {
  return { jobs: orders.flatMap(({ state }) => state.jobs), concerns: orders.flatMap(({ state }) => state.concerns) };
}
