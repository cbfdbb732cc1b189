import { isDeepStrictEqual } from "node:util";
import { LEDGER_VERSION } from "@mechanon/core";
import pg from "pg";
import { BEFORE_ALL, nextWorkOrders, writeLedgers, type WalkedOrder, type WalkedTo } from "./writeLedgers";

/** A list of a work order's ledger that was not what its state stands for. */
export interface LedgerDifference {
  businessId: string;
  workOrderId: string;
  number: number;
  list: string;
  stored: unknown;
  expected: unknown;
}

/** The stored rows in the form of the core's own, list by list. */
const STORED = `
  select w.business_id, w.id, w.concerns,
    (select coalesce(jsonb_agg(jsonb_build_object('payer', t.payer, 'total_cents', t.total_cents, 'paid_cents', t.paid_cents,
      'due_cents', t.due_cents) order by t.payer), '[]') from bills t where t.business_id = w.business_id and t.work_order_id = w.id) as bills,
    (select coalesce(jsonb_agg(to_jsonb(t) - 'business_id' - 'work_order_id' || jsonb_build_object('at', iso(t.at)) order by t.position), '[]')
      from payments t where t.business_id = w.business_id and t.work_order_id = w.id) as payments,
    (select coalesce(jsonb_agg(to_jsonb(t) - 'business_id' - 'work_order_id' || jsonb_build_object('at', iso(t.at)) order by t.position), '[]')
      from approvals t where t.business_id = w.business_id and t.work_order_id = w.id) as approvals,
    (select coalesce(jsonb_agg(to_jsonb(t) - 'business_id' - 'work_order_id' || jsonb_build_object('at', iso(t.at)) order by t.position), '[]')
      from approval_answers t where t.business_id = w.business_id and t.work_order_id = w.id) as approval_answers,
    (select coalesce(jsonb_agg(to_jsonb(t) - 'business_id' - 'work_order_id' || jsonb_build_object('ordered_at', iso(t.ordered_at)) order by t.position), '[]')
      from ordered_parts t where t.business_id = w.business_id and t.work_order_id = w.id) as ordered_parts
  from work_orders w where (w.business_id, w.id) in (select * from unnest($1::uuid[], $2::uuid[]))`;

/**
 * Compares the ledger of every work order with what its state stands for, and writes what differs anew.
 *
 * @param write - false: only look.
 * @param tell - hears of each difference.
 * @returns How many work orders were looked at, and how many lists differed.
 */
export async function rebuildLedger(
  databaseUrl: string,
  write: boolean,
  tell: (difference: LedgerDifference) => void,
): Promise<{ workOrders: number; differences: number }> {
  const client = new pg.Client({ connectionString: databaseUrl, application_name: "mechanon-ledger" });
  await client.connect();
  try {
    let [workOrders, differences] = [0, 0];
    for (let after: WalkedTo | null = BEFORE_ALL; after !== null;) {
      await client.query("begin");
      const orders = await nextWorkOrders(client, after);
      const found = await compare(client, orders);
      found.forEach(tell);
      const wrong = new Set(found.map(({ workOrderId }) => workOrderId));
      if (write && wrong.size > 0)
        await writeLedgers(
          client,
          orders.filter(({ id }) => wrong.has(id)),
        );
      await client.query("commit");
      workOrders += orders.length;
      differences += found.length;
      const last = orders.at(-1);
      after = last ? { businessId: last.business_id, id: last.id } : null;
    }
    return { workOrders, differences };
  } finally {
    await client.end();
  }
}

async function compare(client: pg.Client, orders: readonly WalkedOrder[]): Promise<LedgerDifference[]> {
  const { rows } = await client.query<Record<string, unknown> & { business_id: string; id: string }>(STORED, [
    orders.map(({ business_id: businessId }) => businessId),
    orders.map(({ id }) => id),
  ]);
  const storedOf = new Map(rows.map((row) => [`${row.business_id}/${row.id}`, row]));
  return orders.flatMap(({ business_id: businessId, id: workOrderId, number, ledger, concerns, ...order }) => {
    const stored: Record<string, unknown> = storedOf.get(`${businessId}/${workOrderId}`) ?? {};
    const isWritten = order.ledger_version === LEDGER_VERSION;
    return Object.entries({ ...ledger, concerns })
      .filter(([list, expected]) => !isWritten || !isDeepStrictEqual(stored[list], plain(expected)))
      .map(([list, expected]) => ({ businessId, workOrderId, number, list, stored: stored[list], expected }));
  });
}

/** As it comes back from JSON. */
function plain(value: unknown): unknown {
  return JSON.parse(JSON.stringify(value)) as unknown;
}
