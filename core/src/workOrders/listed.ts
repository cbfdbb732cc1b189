import { balanceOf } from "../payments/balance";
import { quoteTotalCents } from "../quoting/totals";
import type { VisitState } from "../visits/state";
import type { WorkOrderState } from "./state";
import { waitingOf, type Wait } from "./waiting";

/** What lists ask of a work order; stands beside its state. */
export interface Listed {
  waitsFor: Wait | null;
  waitsSince: string;
  totalCents: number;
  dueCents: number;
  laterCount: number;
  openConflicts: number;
  concerns: string[];
}

/**
 * What lists ask, from the state and the visits that serve it. Amounts in cents; `waitsSince` is an ISO instant.
 * @see waitingOf
 */
export function listed(state: WorkOrderState, visits: readonly VisitState[]): Listed {
  const { waitsFor, since } = waitingOf(state, visits);
  return {
    waitsFor,
    waitsSince: since,
    totalCents: quoteTotalCents(state),
    dueCents: balanceOf(state).dueCents,
    laterCount: state.jobs.filter(({ answer }) => answer?.value === "later").length,
    openConflicts: state.conflicts.filter(({ settledAt }) => settledAt === null).length,
    concerns: state.concerns.map(({ text }) => text),
  };
}
