import { setImmediate } from "node:timers/promises";
import ICAL from "ical.js";
import { isZone } from "@mechanon/core";
import { DateTime } from "luxon";
import type { OwnTime } from "./busyTimes";

/** Nobody keeps more appointments in a year; what is beyond is said, and left out. */
const MOST_KEPT = 3000;
/** Of one event that repeats, and of all of them: a rule that begins long ago, or goes on by the second. */
const MOST_STEPS_EACH = 20_000;
const MOST_STEPS = 300_000;
/** The server does other things in between. */
const EVENTS_AT_ONCE = 400;
const MOST_EVENT_CHARACTERS = 200_000;
const MOST_TITLE = 200;

/** What a calendar file says of when its owner is busy. */
export interface ReadCalendar {
  times: OwnTime[];
  /** Free, called off, over, beyond the year, or unreadable. */
  leftOut: number;
  isCut: boolean;
}

/**
 * When the owner of a calendar is busy in the coming year. Times without a zone, or with one nobody knows, are of the given
 * zone.
 * @returns null for what is no calendar.
 * @see RFC 5545
 */
export async function readCalendar(text: string, now: Date, zone: string): Promise<ReadCalendar | null> {
  if (!/^\uFEFF?\s*BEGIN:VCALENDAR/i.test(text)) return null;
  const [from, to] = [now, DateTime.fromJSDate(now).plus({ years: 1 }).toJSDate()];
  const masters: ICAL.Component[] = [];
  /** Of one time of an event that repeats, by the event. */
  const changed = new Map<string, ICAL.Component[]>();
  let [leftOut, read] = [0, 0];
  for (const source of eventsOf(text)) {
    read += 1;
    if (read % EVENTS_AT_ONCE === 0) await setImmediate();
    const event = isWorthReading(source, from, to) ? eventOf(source) : null;
    if (!event) leftOut += 1;
    else if (event.hasProperty("recurrence-id")) {
      const uid = uidOf(event);
      changed.set(uid, [...(changed.get(uid) ?? []), event]);
    } else masters.push(event);
  }
  const times: OwnTime[] = [];
  let steps = 0;
  for (const [index, master] of masters.entries()) {
    if (index % EVENTS_AT_ONCE === 0) await setImmediate();
    if (times.length >= MOST_KEPT) return { times: times.slice(0, MOST_KEPT), leftOut, isCut: true };
    const uid = uidOf(master);
    const exceptions = changed.get(uid) ?? [];
    changed.delete(uid);
    const found = timesOf(
      new ICAL.Event(master, { exceptions }),
      { from, to, zone },
      Math.min(MOST_STEPS_EACH, MOST_STEPS - steps),
    );
    steps += found.steps;
    if (found.times.length === 0) leftOut += 1;
    times.push(...found.times);
  }
  // A changed time whose event is not in the file stands by itself.
  for (const event of [...changed.values()].flat())
    times.push(...timesOf(new ICAL.Event(event, { strictExceptions: true }), { from, to, zone }, 1).times);
  return { times: times.slice(0, MOST_KEPT), leftOut, isCut: times.length > MOST_KEPT };
}

function* eventsOf(text: string): Generator<string> {
  const isBegun = /^BEGIN:VEVENT[ \t]*\r?$/gim;
  const isEnded = /^END:VEVENT[ \t]*\r?$/gim;
  for (let begun = isBegun.exec(text); begun; begun = isBegun.exec(text)) {
    isEnded.lastIndex = begun.index;
    const ended = isEnded.exec(text);
    if (!ended) return;
    const until = ended.index + ended[0].length;
    isBegun.lastIndex = until;
    yield text.slice(begun.index, until);
  }
}

/** Told from the letters alone, so that what is long over costs nothing. */
function isWorthReading(source: string, from: Date, to: Date): boolean {
  if (source.length > MOST_EVENT_CHARACTERS) return false;
  if (/^TRANSP:TRANSPARENT/im.test(source) || /^STATUS:CANCELLED/im.test(source))
    return /^RECURRENCE-ID/im.test(source);
  const start = /^DTSTART[^:\r\n]*:(\d{4})(\d{2})(\d{2})/im.exec(source);
  if (!start) return false;
  const day = Date.parse(`${start[1]}-${start[2]}-${start[3]}T00:00:00Z`);
  if (Number.isNaN(day) || day > to.getTime()) return false;
  const isRepeated = /^(RRULE|RDATE)[;:]/im.test(source);
  const LONGEST_DAYS = 400;
  return isRepeated || day > from.getTime() - LONGEST_DAYS * 86_400_000;
}

function eventOf(source: string): ICAL.Component | null {
  try {
    return new ICAL.Component(ICAL.parse(source) as [string, unknown[], unknown[]]);
  } catch {
    // Counted among what is left out: one odd event keeps no other from being read.
    return null;
  }
}

function uidOf(event: ICAL.Component): string {
  return String(event.getFirstPropertyValue("uid") ?? "");
}

interface Span {
  from: Date;
  to: Date;
  zone: string;
}

function timesOf(event: ICAL.Event, { from, to, zone }: Span, mostSteps: number): { times: OwnTime[]; steps: number } {
  const times: OwnTime[] = [];
  const add = (item: ICAL.Event, start: ICAL.Time, end: ICAL.Time): void => {
    const named = zoneOf(item);
    const [startsAt, endsAt] = [instantOf(start, named, zone), instantOf(end, named, zone)];
    if (!isBusy(item) || startsAt === null || endsAt === null || endsAt <= startsAt) return;
    if (endsAt <= from || startsAt >= to) return;
    times.push({
      key: `${event.uid} ${startsAt.toISOString()}`.slice(0, 300),
      title: (item.summary ?? "").slice(0, MOST_TITLE),
      startsAt: startsAt.toISOString(),
      endsAt: endsAt.toISOString(),
    });
  };
  try {
    if (!event.isRecurring()) {
      add(event, event.startDate, event.endDate);
      return { times, steps: 1 };
    }
    const iterator = event.iterator();
    for (let steps = 0; steps < mostSteps; steps += 1) {
      const next = iterator.next();
      if (!next || next.toJSDate() > to) return { times, steps };
      const { item, startDate, endDate } = event.getOccurrenceDetails(next);
      add(item, startDate, endDate);
    }
    return { times, steps: mostSteps };
  } catch {
    // As with an event that cannot be read.
    return { times, steps: 1 };
  }
}

function isBusy(item: ICAL.Event): boolean {
  const said = (name: string): string => String(item.component.getFirstPropertyValue(name) ?? "").toUpperCase();
  return said("transp") !== "TRANSPARENT" && said("status") !== "CANCELLED";
}

/** Of the wall-clock time in its zone; null: there is no such time. */
function instantOf(
  { year, month, day, hour, minute, isDate, zone: own }: ICAL.Time,
  named: string,
  zone: string,
): Date | null {
  if (own === ICAL.Timezone.utcTimezone) return new Date(Date.UTC(year, month - 1, day, hour, minute));
  const clock = isDate ? { hour: 0, minute: 0 } : { hour, minute };
  const at = DateTime.fromObject({ year, month, day, ...clock }, { zone: isZone(named) ? named : zone });
  return at.isValid ? at.toJSDate() : null;
}

/** The zone its beginning names; empty: none. */
function zoneOf(event: ICAL.Event): string {
  return String(event.component.getFirstProperty("dtstart")?.getParameter("tzid") ?? "");
}
