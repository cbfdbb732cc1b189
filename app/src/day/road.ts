import { driveMinutes, slipsPast, visitStanding, type BusinessSettings, type VisitStanding } from "@mechanon/core";
import type { DayVisit } from "@mechanon/contract";

/** One piece of the day's road, from the top down. */
export type RoadPiece =
  | { kind: "drive"; key: string; minutes: number | null; late: number }
  | { kind: "now"; key: string }
  | {
      kind: "stop";
      key: string;
      stop: DayVisit;
      standing: VisitStanding;
      /** Since it should have begun. */ overdueMinutes: number;
      /** By which it will be ready after what was promised. */
      slipMinutes: number;
    };

/**
 * The day as a road: each stop, the drive before it, and the mark of now between what is over and what comes.
 *
 * @param visits - one mechanic's visits, earliest first.
 * @param now - ISO instant; null on another day than today, which has no now-mark.
 */
export function roadOf(visits: readonly DayVisit[], home: BusinessSettings["home"], now: string | null): RoadPiece[] {
  const pieces: RoadPiece[] = [];
  let from: { latitude: number | null; longitude: number | null } = home;
  let freeAt: number | null = null;
  let marked = now === null;
  for (const stop of visits) {
    const { visit } = stop;
    const standing = visitStanding(visit);
    const isAhead = standing === "booked" || standing === "driving";
    if (!marked && (isAhead || standing === "onSite")) {
      pieces.push({ kind: "now", key: "now" });
      marked = true;
    }
    const minutes = driveMinutes(from, visit.place);
    const late =
      freeAt !== null && isAhead
        ? Math.max(0, Math.round((freeAt + (minutes ?? 0) * 60_000 - Date.parse(visit.startsAt)) / 60_000))
        : 0;
    pieces.push({ kind: "drive", key: `drive-${visit.id}`, minutes, late });
    const overdueMs = now !== null && isAhead ? Date.parse(now) - Date.parse(visit.startsAt) : 0;
    const overdueMinutes = Math.max(0, Math.floor(overdueMs / 60_000));
    const slipMinutes = now === null ? 0 : slipsPast(visit, now, late);
    pieces.push({ kind: "stop", key: visit.id, stop, standing, overdueMinutes, slipMinutes });
    from = visit.place;
    freeAt = Date.parse(visit.leftAt ?? visit.endsAt);
  }
  if (!marked && visits.length > 0) pieces.push({ kind: "now", key: "now" });
  return pieces;
}
