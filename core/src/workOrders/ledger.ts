import { balanceOf } from "../payments/balance";
import { CUSTOMER_PAYER } from "../quoting/priceWorkOrder";
import { receivedQuantity } from "../sourcing/ordered";
import type { WorkOrderState } from "./state";

/** Which way of writing the ledger this is; counted up when its rows change, so that old ones are written anew. */
export const LEDGER_VERSION = 1;

/**
 * Money, bills, approvals and part orders of a work order as rows, named as the ledger's columns: what lists and reports
 * ask for. A row's place in its list is its `position`; amounts in cents.
 */
export interface Ledger {
  bills?: { payer: string; total_cents: number; paid_cents: number; due_cents: number }[];
  payments?: {
    position: number;
    id: string;
    at: string;
    person_id: string;
    method: string;
    status: string;
    amount_cents: number;
    tendered_cents: number | null;
  }[];
  approvals?: { position: number; id: string; at: string; person_id: string; way: string; total_cents: number }[];
  approval_answers?: { position: number; job_id: string; answer: string; total_cents: number; at: string }[];
  ordered_parts?: {
    position: number;
    order_id: string;
    order_number: string;
    supplier_id: string | null;
    line_id: string;
    part_number: string;
    quantity: number;
    cost_cents: number | null;
    received_quantity: number;
    ordered_at: string;
  }[];
}

/**
 * The ledger of a work order.
 *
 * @param before - what it was when its ledger was last written: lists whose slices are the same since are left out.
 */
export function ledgerOf(state: WorkOrderState, before: WorkOrderState | null = null): Ledger {
  const changed = (...slices: (keyof WorkOrderState)[]): boolean =>
    before === null || slices.some((slice) => state[slice] !== before[slice]);
  return {
    ...(changed("jobs", "payments", "taxExempt", "rules", "discounts", "payers") ? { bills: billsOf(state) } : {}),
    ...(changed("payments") ? { payments: paymentsOf(state) } : {}),
    ...(changed("approvals") ? { approvals: approvalsOf(state), approval_answers: answersOf(state) } : {}),
    ...(changed("orders", "received") ? { ordered_parts: orderedPartsOf(state) } : {}),
  };
}

function billsOf(state: WorkOrderState): NonNullable<Ledger["bills"]> {
  const { totalCents, paidCents, dueCents } = balanceOf(state);
  return [{ payer: CUSTOMER_PAYER, total_cents: totalCents, paid_cents: paidCents, due_cents: dueCents }];
}

function paymentsOf({ payments }: WorkOrderState): NonNullable<Ledger["payments"]> {
  return payments.map(({ id, at, by, method, status, amountCents, tenderedCents }, position) => ({
    position,
    id,
    at,
    person_id: by,
    method,
    status,
    amount_cents: amountCents,
    tendered_cents: tenderedCents,
  }));
}

function approvalsOf({ approvals }: WorkOrderState): NonNullable<Ledger["approvals"]> {
  return approvals.map(({ id, at, by, way, totalCents }, position) => ({
    position,
    id,
    at,
    person_id: by,
    way,
    total_cents: totalCents,
  }));
}

function answersOf({ approvals }: WorkOrderState): NonNullable<Ledger["approval_answers"]> {
  return approvals
    .flatMap(({ at, answers }) => answers.map((given) => ({ ...given, at })))
    .map(({ jobId, answer, totalCents, at }, position) => ({
      position,
      job_id: jobId,
      answer,
      total_cents: totalCents,
      at,
    }));
}

/** What came in is told to the first order of a line until that is all in hand, then to the next. */
function orderedPartsOf(state: WorkOrderState): NonNullable<Ledger["ordered_parts"]> {
  const left = new Map<string, number>();
  const items = state.orders.flatMap((order) => order.items.map((item) => ({ order, item })));
  return items.map(({ order, item }, position) => {
    const inHand = left.get(item.lineId) ?? receivedQuantity(state, item.lineId);
    const received = Math.min(inHand, item.quantity);
    left.set(item.lineId, inHand - received);
    return {
      position,
      order_id: order.id,
      order_number: order.orderNumber,
      supplier_id: order.supplierId,
      line_id: item.lineId,
      part_number: item.partNumber,
      quantity: item.quantity,
      cost_cents: item.costCents,
      received_quantity: received,
      ordered_at: order.at,
    };
  });
}
