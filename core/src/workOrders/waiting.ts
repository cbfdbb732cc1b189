import { closedWithoutSale } from "../approvals/noSale";
import { approvedJobs, openJobs } from "../approvals/standing";
import { balanceOf } from "../payments/balance";
import { approvedParts } from "../sourcing/partStatus";
import type { VisitState } from "../visits/state";
import { isRunning } from "../visits/standing";
import type { WorkOrderState } from "./state";

/** What a work order waits for; the first that applies, in this order of asking. */
export const WAITS = ["answer", "parts", "time", "work", "money"] as const;
export type Wait = (typeof WAITS)[number];

export interface Waiting {
  /** null: nothing is open. */
  waitsFor: Wait | null;
  /** Since when, as an ISO instant. */
  since: string;
}

/**
 * Where a work order stands, from what happened to it; nobody sets it.
 *
 * @param visits - all visits that serve it.
 */
export function waitingOf(state: WorkOrderState, visits: readonly VisitState[]): Waiting {
  const closed = closedWithoutSale(state);
  if (closed) return { waitsFor: null, since: closed.at };
  const open = openJobs(state);
  if (open.length > 0) return { waitsFor: "answer", since: earliest(open.map((job) => job.addedAt)) };
  const lastAnswer = latest([state.openedAt, ...state.approvals.map(({ at }) => at)]);
  const missing = [...approvedParts(state, "needed"), ...approvedParts(state, "ordered")];
  if (missing.length > 0) return { waitsFor: "parts", since: lastAnswer };
  const approved = approvedJobs(state);
  const unfinished = approved.filter((job) => job.finishedAt === null);
  if (unfinished.length > 0 || state.jobs.length === 0) {
    const running = visits.filter(isRunning);
    const since = latest([lastAnswer, ...visits.flatMap(({ leftAt }) => (leftAt ? [leftAt] : []))]);
    return { waitsFor: running.length > 0 ? "work" : "time", since };
  }
  const finished = latest([lastAnswer, ...approved.flatMap((job) => (job.finishedAt ? [job.finishedAt] : []))]);
  if (balanceOf(state).dueCents > 0) return { waitsFor: "money", since: finished };
  return { waitsFor: null, since: latest([finished, ...state.payments.map(({ at }) => at)]) };
}

function earliest(instants: string[]): string {
  return instants.reduce((first, instant) => (instant < first ? instant : first));
}

function latest(instants: string[]): string {
  return instants.reduce((last, instant) => (instant > last ? instant : last));
}
