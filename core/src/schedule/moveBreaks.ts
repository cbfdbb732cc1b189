import { dayOf, inZone, instantAt, minuteOfDay } from "../dates/dates";
import type { JobCondition } from "../places/conditions";
import { visitStanding } from "../visits/standing";
import type { VisitState } from "../visits/state";
import { hoursOn, isVanTooHigh, lacking, type CrewMember } from "./crewMember";
import type { VisitNeeds } from "./needsOfVisit";
import type { BusyTime } from "./offerTimes";
import { placeFaults } from "./placeFaults";
import type { Spot } from "./spot";
import type { Daylight } from "./sunTimes";
import type { WeatherThen } from "./weather";

/** What a move would break. */
export type MoveBreak =
  | { what: "locked" | "past" | "off" | "hours" | "pause" | "parts" | "height" }
  | { what: "overlap"; visitId: string }
  | { what: "busy"; startsAt: string }
  | { what: "skills" | "carries"; missing: string[] }
  /** A stop would start so much later than it does by the plan. */
  | { what: "late"; visitId: string; minutes: number }
  | { what: "promise"; minutes: number }
  | { what: "place"; condition: JobCondition };

/** Where a visit would be moved to. */
export interface MoveTo {
  mechanicId: string;
  startsAt: string;
  endsAt: string;
}

/** What is known around a move; nulls: not known here, and not looked at. */
export interface MoveAround {
  now: string;
  zone: string;
  member: CrewMember;
  home: Spot;
  /** Visits of the mechanic it goes to, of its day; the moved one may be among them. */
  visits: readonly VisitState[];
  busy: readonly BusyTime[];
  travel: (from: Spot, to: Spot) => number;
  needs: VisitNeeds | null;
  partsReadyAt: string | null;
  weather: WeatherThen | null;
  daylight: Daylight | null;
  wetPercent: number;
}

/** Everything a move would break, so that it can be said before it is done. */
export function moveBreaks(visit: VisitState, to: MoveTo, around: MoveAround): MoveBreak[] {
  const { now, needs, partsReadyAt, member } = around;
  const moved: VisitState = { ...visit, ...to };
  const others = around.visits.filter((other) => other.id !== visit.id && visitStanding(other) !== "cancelled");
  return [
    ...(visit.isLocked ? [{ what: "locked" as const }] : []),
    ...(to.startsAt < now ? [{ what: "past" as const }] : []),
    ...others
      .filter((other) => other.leftAt === null && overlaps(other, to))
      .map(({ id }) => ({ what: "overlap" as const, visitId: id })),
    ...around.busy.filter((time) => overlaps(time, to)).map(({ startsAt }) => ({ what: "busy" as const, startsAt })),
    ...outsideHours(to, around),
    ...lacks("skills", member, needs),
    ...lacks("carries", member, needs),
    ...(isVanTooHigh(member, visit.arranged) ? [{ what: "height" as const }] : []),
    ...lateStops(others, moved, around),
    ...brokenPromise(moved),
    ...(partsReadyAt !== null && to.startsAt < partsReadyAt ? [{ what: "parts" as const }] : []),
    ...(needs ? faultsOfPlace(moved, needs, around) : []),
  ];
}

function overlaps(one: { startsAt: string; endsAt: string }, other: { startsAt: string; endsAt: string }): boolean {
  return Date.parse(one.startsAt) < Date.parse(other.endsAt) && Date.parse(other.startsAt) < Date.parse(one.endsAt);
}

function outsideHours({ startsAt, endsAt }: MoveTo, { member, zone: business }: MoveAround): MoveBreak[] {
  const zone = member.zone ?? business;
  const date = dayOf(startsAt, zone);
  const hours = hoursOn(member, date, inZone(startsAt, zone).weekday);
  if (!hours) return [{ what: "off" }];
  const at = (minute: number): string => instantAt(date, minute, zone);
  const isOutside = minuteOfDay(startsAt, zone) < hours.fromMinute || endsAt > at(hours.untilMinute);
  const { pause } = member;
  const isInPause =
    pause !== null && overlaps({ startsAt, endsAt }, { startsAt: at(pause.fromMinute), endsAt: at(pause.untilMinute) });
  return [...(isOutside ? [{ what: "hours" as const }] : []), ...(isInPause ? [{ what: "pause" as const }] : [])];
}

function lacks(what: "skills" | "carries", member: CrewMember, needs: VisitNeeds | null): MoveBreak[] {
  const missing = needs ? lacking(member[what], needs[what]) : [];
  return missing.length > 0 ? [{ what, missing }] : [];
}

/** Stops that would start later than they do without the moved visit, itself included; what overlaps is told already. */
function lateStops(others: readonly VisitState[], moved: VisitState, around: MoveAround): MoveBreak[] {
  const before = latenessOf(others, around);
  const after = latenessOf([...others, moved], around);
  return [...after].flatMap(([visitId, minutes]) => {
    const more = minutes - (before.get(visitId) ?? 0);
    return more > 0 ? [{ what: "late" as const, visitId, minutes: more }] : [];
  });
}

/** By how many minutes each stop of a day starts late by the drive from the one before, none of which begins early. */
function latenessOf(visits: readonly VisitState[], { member, home, travel }: MoveAround): Map<string, number> {
  const lateness = new Map<string, number>();
  let from: Spot = member.base ?? home;
  let freeAt: number | null = null;
  for (const visit of [...visits].sort((a, b) => Date.parse(a.startsAt) - Date.parse(b.startsAt))) {
    const [starts, ends] = [Date.parse(visit.startsAt), Date.parse(visit.endsAt)];
    const isOpen = ["booked", "driving"].includes(visitStanding(visit));
    const arrives: number = freeAt === null ? starts : freeAt + travel(from, visit.place) * 60_000;
    const begins: number = isOpen ? Math.max(starts, arrives) : starts;
    if (begins > starts) lateness.set(visit.id, Math.round((begins - starts) / 60_000));
    freeAt = begins + (ends - starts);
    from = visit.place;
  }
  return lateness;
}

function brokenPromise({ readyBy, endsAt }: VisitState): MoveBreak[] {
  if (readyBy === null || Date.parse(endsAt) <= Date.parse(readyBy)) return [];
  return [{ what: "promise", minutes: Math.round((Date.parse(endsAt) - Date.parse(readyBy)) / 60_000) }];
}

function faultsOfPlace(
  moved: VisitState,
  needs: VisitNeeds,
  { weather, daylight, wetPercent }: MoveAround,
): MoveBreak[] {
  return placeFaults(needs, { agreed: moved.arranged, when: moved, weather, daylight, wetPercent })
    .filter(({ condition, is }) => is === "missing" && (condition === "dry" || condition === "daylight"))
    .map(({ condition }) => ({ what: "place", condition }));
}
