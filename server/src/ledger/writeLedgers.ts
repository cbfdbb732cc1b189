import { LEDGER_VERSION, ledgerOf, upgradeWorkOrder, type Ledger } from "@mechanon/core";
import type { ClientBase } from "pg";

/** Where a walk through all work orders stands. */
export interface WalkedTo {
  businessId: string;
  id: string;
}
export const BEFORE_ALL: WalkedTo = {
  businessId: "00000000-0000-0000-0000-000000000000",
  id: "00000000-0000-0000-0000-000000000000",
};
const BATCH = 200;

export interface WalkedOrder {
  business_id: string;
  id: string;
  number: number;
  ledger_version: number;
  concerns: string[];
  ledger: Ledger;
}

/** The next work orders after one, in the order of their keys, locked, with the ledger their state stands for. */
export async function nextWorkOrders(client: ClientBase, after: WalkedTo): Promise<WalkedOrder[]> {
  const { rows } = await client.query<Omit<WalkedOrder, "ledger" | "concerns"> & { state: Record<string, unknown> }>(
    `select business_id, id, number, ledger_version, state from work_orders
     where (business_id, id) > ($1::uuid, $2::uuid) order by business_id, id limit ${BATCH} for update`,
    [after.businessId, after.id],
  );
  return rows.map(({ state: stored, ...row }) => {
    const state = upgradeWorkOrder(stored);
    return { ...row, concerns: state.concerns.map(({ text }) => text), ledger: ledgerOf(state) };
  });
}

/** Writes ledgers whole, and what lists ask beside them. */
export async function writeLedgers(client: ClientBase, orders: readonly WalkedOrder[]): Promise<void> {
  await client.query(
    `with given as (
       select * from jsonb_to_recordset($1::jsonb) as given (business_id uuid, id uuid, concerns text[], ledger jsonb)
     ), marked as (
       update work_orders w set ledger_version = $2, concerns = given.concerns from given
       where w.business_id = given.business_id and w.id = given.id
     )
     select store_ledger(business_id, id, ledger) from given`,
    [JSON.stringify(orders), LEDGER_VERSION],
  );
}
