import { useQuery } from "@tanstack/react-query";
import { dayOf, driveMinutes, moveBreaks, usualCrewMember, type MoveBreak, type MoveTo } from "@mechanon/core";
import { routes, type BusinessView, type DayVisit } from "@mechanon/contract";
import { call } from "../api/call";
import { useNow } from "../day/useNow";

const USUAL_DRIVE_MINUTES = 15;

/**
 * What a move would break. The server knows most of it; without a signal it is told from what is on this device: hours,
 * other visits, drives and what was promised.
 */
export function useMoveCheck(
  stop: DayVisit | undefined,
  to: MoveTo | null,
  stops: readonly DayVisit[],
  { settings, timeZone: zone }: BusinessView,
): { breaks: MoveBreak[]; isAnswered: boolean; isOffline: boolean } {
  const now = useNow();
  const body = to ?? { mechanicId: "", startsAt: "", endsAt: "" };
  const { data, error } = useQuery({
    queryKey: ["moveCheck", stop?.visit.id, body],
    queryFn: () => call(routes.checkMove, { params: { id: stop?.visit.id ?? "" }, body }),
    enabled: stop !== undefined && to !== null,
    networkMode: "always",
    retry: false,
    staleTime: 0,
  });
  if (!stop || !to) return { breaks: [], isAnswered: false, isOffline: false };
  if (data) return { breaks: data.breaks, isAnswered: true, isOffline: false };
  if (!error) return { breaks: [], isAnswered: false, isOffline: false };
  const day = dayOf(to.startsAt, zone);
  const breaks = moveBreaks(stop.visit, to, {
    now,
    zone,
    member: settings.crew.find(({ personId }) => personId === to.mechanicId) ?? usualCrewMember(to.mechanicId),
    home: settings.home,
    visits: stops
      .map(({ visit }) => visit)
      .filter((visit) => visit.mechanicId === to.mechanicId && dayOf(visit.startsAt, zone) === day),
    busy: [],
    travel: (from, next) => driveMinutes(from, next) ?? USUAL_DRIVE_MINUTES,
    needs: null,
    partsReadyAt: null,
    weather: null,
    daylight: null,
    wetPercent: settings.visits.wetPercent,
  });
  return { breaks, isAnswered: true, isOffline: true };
}
