import { calendarDays, dayAt, type CalendarDay } from "./calendarDays";
import { visitStanding } from "../visits/standing";
import type { VisitState } from "../visits/state";
import { canDo, hoursOn, type CrewMember } from "./crewMember";
import { findSlots, type PlannedDay, type PlannedStop } from "./slots";

/** A point on the map; nulls: nobody knows. */
export interface Spot {
  latitude: number | null;
  longitude: number | null;
}

/** What a time is looked for. */
export interface TimeWanted {
  place: Spot;
  minutes: number;
  /** As the jobs ask for them. */
  skills: readonly string[];
  /** Only this mechanic; null: whoever can. */
  mechanicId: string | null;
  /** A visit that is moved: it stands in nobody's way. */
  movesVisitId: string | null;
}

/** The days a time is looked for in. */
export interface DaysAround {
  /** ISO instant. */
  now: string;
  zone: string;
  /** How many days from today. */
  days: number;
  crew: readonly CrewMember[];
  /** Where vans leave from and come home to. */
  home: Spot;
  /** Booked in these days, in any order. */
  visits: readonly VisitState[];
  /** Whole minutes of driving between two points. */
  travel: (from: Spot, to: Spot) => number;
}

/** A time at which a visit truly fits. */
export interface TimeOffer {
  mechanicId: string;
  /** The day in the zone of the business. */
  date: string;
  startsAt: string;
  /** The latest it may start; null: nothing limits it but the day. */
  latestStartsAt: string | null;
  endsAt: string;
  /** Minutes of driving more than without it. */
  addedMinutes: number;
}

/** Starts lie on the quarter hours. */
const STEP_MINUTES = 15;
/** A visit that runs over is not done in less. */
const LEAST_LEFT_MINUTES = 15;

/**
 * Every time in the coming days at which a visit fits between the stops that stand, within the hours of a mechanic who can
 * do it: least added driving first, then the earliest.
 *
 * @see calculations.md, slots
 */
export function offerTimes(wanted: TimeWanted, around: DaysAround): TimeOffer[] {
  const { now, zone, crew } = around;
  const calendar = calendarDays(now, zone, around.days);
  const able = crew.filter(
    (member) => canDo(member, wanted.skills) && (wanted.mechanicId === null || wanted.mechanicId === member.personId),
  );
  const booked = visitsByDay(around, calendar, wanted.movesVisitId);
  const days = calendar.flatMap((day) =>
    able.flatMap((member) => {
      const visits = booked.get(dayKey(day.date, member.personId)) ?? [];
      return dayOfVan(member, day, visits, wanted, around) ?? [];
    }),
  );
  const visit = { minutes: wanted.minutes, from: null, to: null };
  const byId = new Map(days.map((day) => [day.planned.id, day]));
  return findSlots(
    visit,
    STEP_MINUTES,
    days.map(({ planned }) => planned),
  ).flatMap(({ day: id, earliest, latest, added }): TimeOffer[] => {
    const day = byId.get(id);
    if (!day) return [];
    const at = (minute: number): string => new Date(day.midnight + minute * 60_000).toISOString();
    return [
      {
        mechanicId: day.mechanicId,
        date: day.date,
        startsAt: at(earliest),
        latestStartsAt: latest === null ? null : at(latest),
        endsAt: at(earliest + wanted.minutes),
        addedMinutes: added,
      },
    ];
  });
}

const dayKey = (date: string, personId: string): string => `${date} ${personId}`;

/** What stands on each day of each mechanic. */
function visitsByDay(
  { visits }: DaysAround,
  calendar: readonly CalendarDay[],
  movesVisitId: string | null,
): Map<string, VisitState[]> {
  const byDay = new Map<string, VisitState[]>();
  for (const visit of visits) {
    const day = dayAt(calendar, visit.startsAt);
    if (!day || visit.id === movesVisitId || visitStanding(visit) === "cancelled") continue;
    const key = dayKey(day.date, visit.mechanicId);
    const there = byDay.get(key);
    if (there) there.push(visit);
    else byDay.set(key, [visit]);
  }
  return byDay;
}

interface DayOfVan {
  planned: PlannedDay;
  mechanicId: string;
  date: string;
  /** Milliseconds; minutes are counted from it. */
  midnight: number;
}

/** A day of a mechanic as it is planned; null: they are off, or it is over. */
function dayOfVan(
  member: CrewMember,
  { date, weekday, midnight, minuteOf, onClock }: CalendarDay,
  visits: readonly VisitState[],
  wanted: TimeWanted,
  around: DaysAround,
): DayOfVan | null {
  const { now, home, travel } = around;
  const hours = hoursOn(member, date, weekday);
  if (!hours) return null;
  // Of a day to come nothing is over yet.
  const leaveAt = Math.max(onClock(hours.fromMinute), minuteOf(now));
  const backBy = onClock(hours.untilMinute);
  if (leaveAt >= backBy) return null;
  const mine = [...visits].sort((one, other) => (one.startsAt < other.startsAt ? -1 : 1));
  const over = mine.filter((visit) => visitStanding(visit) === "over");
  const start = over.at(-1)?.place ?? home;
  const nodes = mine
    .filter((visit) => visitStanding(visit) !== "over")
    .map((visit): Node => ({ stop: stopOf(visit, minuteOf, leaveAt), place: visit.place }));
  const pause = member.pause && {
    fromMinute: onClock(member.pause.fromMinute),
    untilMinute: onClock(member.pause.untilMinute),
  };
  const all = pause && pause.untilMinute > leaveAt ? withPause(nodes, pause, start) : nodes;
  const places = [start, ...all.map(({ place }) => place), home, wanted.place];
  return {
    planned: {
      id: dayKey(date, member.personId),
      leaveAt,
      backBy,
      stops: all.map(({ stop }) => stop),
      travel: places.map((from) => places.map((to) => (from === to ? 0 : travel(from, to)))),
    },
    mechanicId: member.personId,
    date,
    midnight,
  };
}

interface Node {
  stop: PlannedStop;
  place: Spot;
}

/** A visit as a stop: it starts when it was promised; one that is going on takes what is left of it. */
function stopOf(visit: VisitState, minuteOf: (instant: string) => number, leaveAt: number): PlannedStop {
  const [from, until] = [minuteOf(visit.startsAt), minuteOf(visit.endsAt)];
  if (visitStanding(visit) === "onSite")
    return { id: visit.id, from: null, to: null, service: Math.max(until - leaveAt, LEAST_LEFT_MINUTES) };
  return { id: visit.id, from, to: from, service: until - from };
}

/** A break, taken where the stop before it was. */
function withPause(
  nodes: readonly Node[],
  { fromMinute, untilMinute }: { fromMinute: number; untilMinute: number },
  start: Spot,
): Node[] {
  const before = nodes.filter(({ stop }) => (stop.from ?? 0) < fromMinute);
  const stop = { id: "break", from: fromMinute, to: untilMinute, service: untilMinute - fromMinute };
  return [...before, { stop, place: before.at(-1)?.place ?? start }, ...nodes.slice(before.length)];
}
