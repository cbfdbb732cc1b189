import { showCustomer, showVehicle } from "@mechanon/core";
import type { WorkOrderSummary } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { Scope } from "../scope";

/** A work order as the database's view `work_order_summaries` gives it; the car's name is put together here. */
export type SummaryRow = Omit<WorkOrderSummary, "vehicleName"> & {
  hasVehicle: boolean;
  year: number | null;
  make: string | null;
  model: string | null;
};

export function toSummary({ hasVehicle, year, make, model, ...summary }: SummaryRow): WorkOrderSummary {
  const { customerId, customerName: name } = summary;
  return {
    ...summary,
    customerName: showCustomer(customerId === null ? null : { name }),
    vehicleName: showVehicle(hasVehicle ? { year, make, model } : null),
  };
}

const PAST_PAGE = 20;

/** Which work orders, newest first; $2 names whose. The page is picked before anything is joined to it. */
const LISTS = {
  openOfCustomer: "customer_id = $2 and waits_for is not null",
  pastOfCustomer: "customer_id = $2 and waits_for is null",
  openOfVehicle: "vehicle_id = $2 and waits_for is not null",
  pastOfVehicle: "vehicle_id = $2 and waits_for is null",
  ofNumber: "number = $2",
} as const;
export type WorkList = keyof typeof LISTS;

const STATEMENTS = Object.fromEntries(
  Object.entries(LISTS).map(([list, which]) => [
    list,
    `select s.summary from (
       select id, opened_at from work_orders where business_id = $1 and ${which}
       order by opened_at desc, id desc limit $3 offset $4
     ) page join work_order_summaries s on s.business_id = $1 and s.id = page.id
     order by page.opened_at desc, page.id desc`,
  ]),
) as Record<WorkList, string>;

/** Work orders as lists show them, newest first. @param from - how many are left out. */
export async function listWorkOrders(
  db: Sequelize,
  { businessId }: Pick<Scope, "businessId">,
  list: WorkList,
  of: string | number,
  { most, from = 0 }: { most: number; from?: number },
): Promise<WorkOrderSummary[]> {
  const rows = await askPrepared<{ summary: SummaryRow }>(db, STATEMENTS[list], [businessId, of, most, from]);
  return rows.map(({ summary }) => toSummary(summary));
}

/** A page of work that is over, of a customer or of a car, newest first. @param from - how many are left out. */
export function pastWorkPage(
  db: Sequelize,
  scope: Scope,
  list: "pastOfCustomer" | "pastOfVehicle",
  of: string,
  from: number,
): Promise<WorkOrderSummary[]> {
  return listWorkOrders(db, scope, list, of, { most: PAST_PAGE, from });
}
