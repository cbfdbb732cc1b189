import { visitStanding } from "./standing";
import type { VisitState } from "./state";

/**
 * By how many minutes a visit will miss what was promised: from its planned end, or from now once it runs over that.
 * 0: it is kept, nothing was promised, or it is over.
 * @param now - ISO instant.
 * @param lateMinutes - by which the plan runs late before it.
 */
export function slipsPast(visit: VisitState, now: string, lateMinutes = 0): number {
  const standing = visitStanding(visit);
  if (visit.readyBy === null || standing === "over" || standing === "cancelled") return 0;
  const [starts, ends] = [Date.parse(visit.startsAt), Date.parse(visit.endsAt)];
  const arrived = visit.arrivedAt === null ? null : Date.parse(visit.arrivedAt);
  const begins = arrived ?? Math.max(starts + lateMinutes * 60_000, Date.parse(now));
  const done = Math.max(begins + (ends - starts), Date.parse(now));
  return Math.max(0, Math.round((done - Date.parse(visit.readyBy)) / 60_000));
}
