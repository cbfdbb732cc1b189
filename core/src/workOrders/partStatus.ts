import type { PartLine } from "../quoting/line";
import { approvedJobs } from "./answers";
import type { Job, WorkOrderState } from "./state";

/** Where a part is on its way: wanted but not bought, on order, in hand, on the car. */
export type PartStatus = "needed" | "ordered" | "inHand" | "fitted";

export function partStatus(state: WorkOrderState, job: Job, lineId: string): PartStatus {
  if (state.received.some((received) => received.lineId === lineId)) return job.finishedAt ? "fitted" : "inHand";
  if (orderOf(state, lineId)) return "ordered";
  return job.finishedAt ? "fitted" : "needed";
}

export function orderOf(state: WorkOrderState, lineId: string): WorkOrderState["orders"][number] | undefined {
  return state.orders.find(({ items }) => items.some((item) => item.lineId === lineId));
}

/** Part lines of approved jobs that are at one point of their way. */
export function approvedParts(state: WorkOrderState, status: PartStatus): PartLine[] {
  return approvedJobs(state).flatMap((job) =>
    job.lines.filter(
      (line): line is PartLine =>
        line.kind === "part" && line.quantity > 0 && partStatus(state, job, line.id) === status,
    ),
  );
}
