import {
  needsOfVisit,
  nothingArranged,
  workOfRequest,
  type AskedTime,
  type AskedVisit,
  type Place,
  type TimeOffer,
} from "@mechanon/core";
import { DateTime } from "luxon";
import type { Sequelize, Transaction } from "sequelize";
import { NOBODY } from "../access/nobody";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import { heldForOthers, holdTimes, isTaken, startHolding, type Holder } from "../schedule/heldTimes";
import { timesFor, travelFor } from "../schedule/offeredTimes";
import { timesApart } from "../schedule/timesApart";
import type { Deps } from "../scope";

const DAYS_LOOKED = 14;
/** Nobody is sent where the request was hardly read. */
const LEAD_HOURS = 2;
/** Where nothing tells how long it takes. */
const USUAL_MINUTES = 60;

export type TimesDeps = Pick<Deps, "db" | "outside" | "rules">;
export type Wanted = Pick<AskedVisit, "place" | "wishIds"> & Partial<Pick<AskedVisit, "words">>;

/** What a request takes: of the time, and of whoever comes. */
export async function needsOfRequest(
  { rules }: Pick<Deps, "rules">,
  businessId: string,
  { wishIds, words = "" }: Omit<Wanted, "place">,
  transaction?: Transaction,
): Promise<{
  minutes: number;
  skills: string[];
  carries: string[];
  isUrgent: boolean;
  work: ReturnType<typeof workOfRequest>;
}> {
  const { settings, library } = await rules.now(businessId, transaction);
  const work = workOfRequest({ wishIds, words }, settings.requests.wishes, settings.concerns, library);
  const concerns = work.concerns.map(({ phraseId }, index) => ({ id: String(index), phraseId }));
  const ofConcerns = needsOfVisit({ jobs: [], concerns }, library, settings.visits, nothingArranged());
  return { ...ofConcerns, minutes: ofConcerns.minutes ?? USUAL_MINUTES, work };
}

/** Times at which a request truly fits, on different days or parts of the day first. */
export async function askTimes(
  deps: TimesDeps,
  businessId: string,
  wanted: Wanted,
  heldFor: string,
): Promise<AskedTime[]> {
  const { timeZone } = await deps.rules.now(businessId);
  return timesApart(await offersFor(deps, businessId, wanted, heldFor), timeZone);
}

async function offersFor(
  { db, outside, rules }: TimesDeps,
  businessId: string,
  wanted: Wanted,
  heldFor: string,
  mechanicId: string | null = null,
): Promise<TimeOffer[]> {
  const { settings, timeZone } = await rules.now(businessId);
  const { minutes, skills, carries, isUrgent } = await needsOfRequest({ rules }, businessId, wanted);
  const now = DateTime.utc();
  const looking = { db, outside, settings, now: now.toJSDate().toISOString() };
  const where = { businessId, timeZone };
  const asked = {
    place: wanted.place,
    minutes,
    skills,
    carries,
    notBefore: now.plus({ hours: LEAD_HOURS }).toJSDate().toISOString(),
    between: null,
    isUrgent,
    mechanicId,
    movesVisitId: null,
    days: DAYS_LOOKED,
  };
  const travel = await travelFor(looking, where, asked);
  return db.transaction(async (transaction) => {
    const taken = await heldForOthers(db, holderOf(businessId, heldFor), transaction);
    return timesFor(looking, where, asked, { travel, taken }, transaction);
  });
}

const holderOf = (businessId: string, heldFor: string): Holder => ({ businessId, personId: NOBODY, heldFor });

/**
 * Holds a time that is truly offered for ten minutes, in place of the one held before.
 * @throws {AppError} `ask/time-gone`.
 */
export async function holdAskedTime(
  deps: TimesDeps,
  businessId: string,
  wanted: Wanted & { heldFor: string; time: AskedTime },
): Promise<string> {
  const isOffered = await isTrulyOffered(deps, businessId, wanted);
  return deps.db.transaction(async (transaction) => {
    await startHolding(deps.db, businessId, transaction);
    if (!isOffered) throw timeGone();
    return holdFree(deps.db, businessId, wanted, transaction);
  });
}

/** Whether a time is held for it already, or is one of those that are offered now. */
export async function isTrulyOffered(
  deps: TimesDeps,
  businessId: string,
  wanted: Wanted & { heldFor: string; time: AskedTime },
): Promise<boolean> {
  return (
    (await isHeld(deps, businessId, wanted.heldFor, wanted.time)) || (await isStillOffered(deps, businessId, wanted))
  );
}

/**
 * Holds a time nobody else has; whoever calls has begun holding.
 * @param until - left out: ten minutes.
 * @throws {AppError} `ask/time-gone`.
 */
export async function holdFree(
  db: Sequelize,
  businessId: string,
  { heldFor, time, place }: { heldFor: string; time: AskedTime; place: Place },
  transaction: Transaction,
  until?: string,
): Promise<string> {
  const holder = holderOf(businessId, heldFor);
  if (await isTaken(db, holder, time, transaction)) throw timeGone();
  return holdTimes(db, holder, spotOf(place), [time], transaction, until);
}

export function timeGone(): AppError {
  return new AppError("ask/time-gone", "This time was taken meanwhile. What you typed is kept; pick another time.");
}

const spotOf = ({ latitude, longitude }: Place) =>
  latitude === null || longitude === null ? { latitude: null, longitude: null } : { latitude, longitude };

async function isHeld({ db }: TimesDeps, businessId: string, heldFor: string, time: AskedTime): Promise<boolean> {
  const held = await askPrepared(
    db,
    `select 1 from held_times where business_id = $1 and held_for = $2 and mechanic_id = $3 and starts_at = $4
       and ends_at = $5 and expires_at > now()`,
    [businessId, heldFor, time.mechanicId, time.startsAt, time.endsAt],
  );
  return held.length > 0;
}

async function isStillOffered(
  deps: TimesDeps,
  businessId: string,
  { heldFor, time, ...wanted }: Wanted & { heldFor: string; time: AskedTime },
): Promise<boolean> {
  const offers = await offersFor(deps, businessId, wanted, heldFor, time.mechanicId);
  return offers.some(({ startsAt, endsAt }) => startsAt === time.startsAt && endsAt === time.endsAt);
}
