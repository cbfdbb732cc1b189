import type { VisitState } from "./state";

/** Where a visit stands, from what happened. */
export type VisitStanding = "booked" | "driving" | "onSite" | "over" | "cancelled";

/** Where a visit stands: what happened last. */
export function visitStanding(visit: VisitState): VisitStanding {
  if (visit.cancelledAt) return "cancelled";
  if (visit.leftAt) return "over";
  if (visit.arrivedAt) return "onSite";
  return visit.setOffAt ? "driving" : "booked";
}

/** Whether a visit is to come or goes on. */
export function isRunning(visit: VisitState): boolean {
  return !["over", "cancelled"].includes(visitStanding(visit));
}
