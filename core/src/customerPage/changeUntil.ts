import { visitStanding } from "../visits/standing";
import type { VisitState } from "../visits/state";

const HOUR_MS = 3_600_000;

/**
 * Until when a customer may move a visit or call it off by themselves.
 *
 * @param changeHours - as the owner set it, before its start.
 * @returns ISO instant; null: not any more, or never (it is locked, under way or over).
 */
export function changeUntil(visit: VisitState, changeHours: number, now: string): string | null {
  if (visit.isLocked || visitStanding(visit) !== "booked") return null;
  const until = Date.parse(visit.startsAt) - changeHours * HOUR_MS;
  return until > Date.parse(now) ? new Date(until).toISOString() : null;
}

/** When whoever is on the way is there; null: nobody is, or nobody said how long it takes. */
export function arrivesAt(visit: VisitState): string | null {
  if (visitStanding(visit) !== "driving" || visit.setOffAt === null || visit.driveMinutes === null) return null;
  return new Date(Date.parse(visit.setOffAt) + visit.driveMinutes * 60_000).toISOString();
}
