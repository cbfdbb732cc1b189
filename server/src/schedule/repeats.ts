import ICAL from "ical.js";
import { inZone } from "@mechanon/core";
import { DateTime } from "luxon";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import type { Scope } from "../scope";

/** More trips are not booked in one go. */
const MOST_TIMES = 60;
const MOST_YEARS = 3;

interface Repeat {
  rule: string;
  startsAt: string;
  minutes: number;
  mechanicId: string;
}

/**
 * The times of a rule, at the same wall-clock time whatever the clocks do at night, and which of them a mechanic has free.
 * @throws {AppError} `repeat/unreadable` for a rule that is none, or repeats more than once a day.
 */
export async function findRepeats(
  db: Sequelize,
  { businessId, timeZone }: Pick<Scope, "businessId" | "timeZone">,
  { rule, startsAt, minutes, mechanicId }: Repeat,
): Promise<{ times: { startsAt: string; endsAt: string; isFree: boolean }[]; isCut: boolean }> {
  const { starts, isCut } = startsOf(rule, startsAt, timeZone);
  const times = starts.map((start) => ({
    startsAt: start.toISOString(),
    endsAt: new Date(start.getTime() + minutes * 60_000).toISOString(),
  }));
  const taken = await askPrepared<{ startsAt: string }>(
    db,
    `select given."startsAt" from jsonb_to_recordset($3::jsonb) as given ("startsAt" text, "endsAt" text)
     where exists (
       select from visits v where v.business_id = $1 and v.mechanic_id = $2 and not v.cancelled and v.left_at is null
         and tstzrange(v.starts_at, v.ends_at) && tstzrange(given."startsAt"::timestamptz, given."endsAt"::timestamptz)
     ) or exists (
       select from busy_times b where b.business_id = $1 and b.person_id = $2
         and tstzrange(b.starts_at, b.ends_at) && tstzrange(given."startsAt"::timestamptz, given."endsAt"::timestamptz)
     )`,
    [businessId, mechanicId, JSON.stringify(times)],
  );
  const isTaken = new Set(taken.map((each) => each.startsAt));
  return { times: times.map((time) => ({ ...time, isFree: !isTaken.has(time.startsAt) })), isCut };
}

/** @see RFC 5545, 3.3.10 */
function startsOf(rule: string, startsAt: string, zone: string): { starts: Date[]; isCut: boolean } {
  const first = inZone(startsAt, zone);
  const last = first.plus({ years: MOST_YEARS });
  const starts: Date[] = [];
  try {
    const recurrence = ICAL.Recur.fromString(rule);
    if (["SECONDLY", "MINUTELY", "HOURLY"].includes(recurrence.freq)) throw new Error("it repeats within a day");
    const iterator = recurrence.iterator(ICAL.Time.fromDateTimeString(first.toFormat("yyyy-MM-dd'T'HH:mm:ss")));
    for (let next = iterator.next(); next; next = iterator.next()) {
      const { year, month, day, hour, minute } = next;
      const at = DateTime.fromObject({ year, month, day, hour, minute }, { zone });
      if (at > last || starts.length === MOST_TIMES) return { starts, isCut: true };
      starts.push(at.toJSDate());
    }
  } catch (error) {
    throw new AppError(
      "repeat/unreadable",
      `This is no rule visits can repeat by (${error instanceof Error ? error.message : rule}). Nothing was booked; pick another.`,
    );
  }
  return { starts, isCut: false };
}
