import { instantAt } from "../dates/dates";
import { calendarDays, dayAt, type CalendarDay } from "./calendarDays";
import { visitStanding } from "../visits/standing";
import type { VisitState } from "../visits/state";
import { canDo, hoursOn, type CrewMember } from "./crewMember";
import type { Spot } from "./spot";
import { findSlots, type PlannedDay, type PlannedStop } from "./slots";

/** What a time is looked for. */
export interface TimeWanted {
  place: Spot;
  minutes: number;
  /** As the jobs ask for them. */
  skills: readonly string[];
  /** What the van must carry. */
  carries: readonly string[];
  /** Not before this instant, such as when the last part is there; null: from now on. */
  notBefore: string | null;
  /** The part of the day that is wished for, in minutes of the business's clock; null: any. */
  between: { fromMinute: number; toMinute: number } | null;
  /** The soonest first, whatever the drive. */
  isUrgent: boolean;
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
  /** What else keeps a mechanic: times held for somebody, appointments of their own. */
  busy: readonly BusyTime[];
  /** Whole minutes of driving between two points. */
  travel: (from: Spot, to: Spot) => number;
}

/** A time at which a mechanic cannot come. */
export interface BusyTime {
  mechanicId: string;
  startsAt: string;
  endsAt: string;
  /** Null: wherever they are then. */
  place: Spot | null;
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
    (member) => canDo(member, wanted) && (wanted.mechanicId === null || wanted.mechanicId === member.personId),
  );
  const booked = visitsByDay(around, calendar, wanted.movesVisitId);
  const busy = busyByDay(around, calendar);
  const days = calendar.flatMap((day) =>
    able.flatMap((member) => {
      const key = dayKey(day.date, member.personId);
      const stands = { visits: booked.get(key) ?? [], busy: busy.get(key) ?? [] };
      return dayOfVan(member, day, stands, wanted, around) ?? [];
    }),
  );
  const byId = new Map(days.map((day) => [day.planned.id, day]));
  const slots = groupedByWish(days).flatMap(({ wish, planned }) =>
    findSlots({ minutes: wanted.minutes, ...wish }, STEP_MINUTES, planned),
  );
  const offers = slots.flatMap(({ day: id, earliest, latest, added }): TimeOffer[] => {
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
  return offers.sort(wanted.isUrgent ? bySoonest : byLeastDriving);
}

/** Equal ones stay in the order of `findSlots`. */
function byLeastDriving(one: TimeOffer, other: TimeOffer): number {
  return one.addedMinutes - other.addedMinutes;
}

function bySoonest(one: TimeOffer, other: TimeOffer): number {
  return Date.parse(one.startsAt) - Date.parse(other.startsAt) || one.addedMinutes - other.addedMinutes;
}

/** Days that wish for the same minutes, so that most are looked through at once: they differ where the clock changes. */
function groupedByWish(days: readonly DayOfVan[]): { wish: DayOfVan["wish"]; planned: PlannedDay[] }[] {
  const groups = new Map<string, { wish: DayOfVan["wish"]; planned: PlannedDay[] }>();
  for (const { wish, planned } of days) {
    const key = `${wish.from} ${wish.to}`;
    const group = groups.get(key) ?? { wish, planned: [] };
    group.planned.push(planned);
    groups.set(key, group);
  }
  return [...groups.values()];
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

/** What else keeps each mechanic on each day. */
function busyByDay({ busy }: DaysAround, calendar: readonly CalendarDay[]): Map<string, BusyTime[]> {
  const byDay = new Map<string, BusyTime[]>();
  for (const time of busy)
    for (const day of calendar) {
      const [from, until] = [day.minuteOf(time.startsAt), day.minuteOf(time.endsAt)];
      if (until <= 0 || from >= day.onClock(24 * 60)) continue;
      const key = dayKey(day.date, time.mechanicId);
      byDay.set(key, [...(byDay.get(key) ?? []), time]);
    }
  return byDay;
}

interface DayOfVan {
  planned: PlannedDay;
  /** When the visit may start, in minutes from midnight. */
  wish: { from: number | null; to: number | null };
  mechanicId: string;
  date: string;
  /** Milliseconds; minutes are counted from it. */
  midnight: number;
}

/** A day of a mechanic as it is planned; null: they are off, or it is over. */
function dayOfVan(
  member: CrewMember,
  { date, weekday, midnight, minuteOf, onClock: onBusinessClock }: CalendarDay,
  { visits, busy }: { visits: readonly VisitState[]; busy: readonly BusyTime[] },
  wanted: TimeWanted,
  around: DaysAround,
): DayOfVan | null {
  const { now, travel } = around;
  const home: Spot = member.base ?? around.home;
  const { zone } = member;
  // Hours of somebody elsewhere are those of the clock there.
  const onClock = zone === null ? onBusinessClock : (minute: number) => minuteOf(instantAt(date, minute, zone));
  const hours = hoursOn(member, date, weekday);
  if (!hours) return null;
  // Of a day to come nothing is over yet.
  const leaveAt = Math.max(onClock(hours.fromMinute), minuteOf(now));
  const from = latest(
    wanted.notBefore === null ? null : minuteOf(wanted.notBefore),
    wanted.between && onBusinessClock(wanted.between.fromMinute),
  );
  const to = wanted.between && onBusinessClock(wanted.between.toMinute);
  if (from !== null && to !== null && from > to) return null;
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
  const kept = busy.reduce<Node[]>((stops, time) => {
    const until = minuteOf(time.endsAt);
    const startsAt = Math.max(minuteOf(time.startsAt), leaveAt);
    return until <= leaveAt ? stops : withBusy(stops, { from: startsAt, until, place: time.place }, start);
  }, nodes);
  const all = pause && pause.untilMinute > leaveAt ? withPause(kept, pause, start) : kept;
  const added = all.length + 2;
  const places = [start, ...all.map(({ place }) => place), home, wanted.place];
  return {
    planned: {
      id: dayKey(date, member.personId),
      leaveAt,
      backBy,
      stops: all.map(({ stop }) => stop),
      travel: places.map((from, row) =>
        // Only from stop to stop, and to and from the new place: nobody asks for the others.
        places.map((to, column) =>
          column === row + 1 || ((row === added || column === added) && row !== column) ? travel(from, to) : 0,
        ),
      ),
    },
    wish: { from, to },
    mechanicId: member.personId,
    date,
    midnight,
  };
}

function latest(one: number | null, other: number | null): number | null {
  return one === null ? other : other === null ? one : Math.max(one, other);
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

/** A time somebody cannot come, at its place or where the stop before it was. */
function withBusy(
  nodes: readonly Node[],
  { from, until, place }: { from: number; until: number; place: Spot | null },
  start: Spot,
): Node[] {
  const before = nodes.filter(({ stop }) => (stop.from ?? 0) <= from);
  const stop = { id: `busy ${from}`, from, to: from, service: until - from };
  return [...before, { stop, place: place ?? before.at(-1)?.place ?? start }, ...nodes.slice(before.length)];
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
