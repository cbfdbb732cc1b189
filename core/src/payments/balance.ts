import { priceWorkOrder } from "../quoting/priceWorkOrder";
import { approvedJobs } from "../workOrders/answers";
import type { WorkOrderState } from "../workOrders/state";

/** What is owed on a work order, in cents. */
export interface Balance {
  /** All jobs whose yes stands, with supplies and taxes. */
  totalCents: number;
  paidCents: number;
  /** 0 or more. */
  dueCents: number;
  /** What was taken beyond the total; 0 or more. */
  overpaidCents: number;
}

export function balanceOf(state: WorkOrderState): Balance {
  const totalCents = approvedQuote(state).total;
  const paidCents = state.payments.reduce(
    (sum, { status, amountCents }) => sum + (status === "taken" ? amountCents : 0),
    0,
  );
  return {
    totalCents,
    paidCents,
    dueCents: Math.max(0, totalCents - paidCents),
    overpaidCents: Math.max(0, paidCents - totalCents),
  };
}

/** The priced quote of the jobs whose yes stands; a yes for an older price does not count. */
export function approvedQuote(state: WorkOrderState): ReturnType<typeof priceWorkOrder> {
  return priceWorkOrder({ ...state, jobs: approvedJobs(state) }, "approved");
}
