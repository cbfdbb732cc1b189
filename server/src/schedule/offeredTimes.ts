import {
  addDays,
  dayOf,
  instantAt,
  offerTimes,
  upgradeVisit,
  usualCrewMember,
  type BusinessSettings,
  type BusyTime,
  type Spot,
  type TimeOffer,
  type VisitState,
} from "@mechanon/core";
import type { routes } from "@mechanon/contract";
import type { Sequelize, Transaction } from "sequelize";
import type { z } from "zod";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import type { Outside } from "../outside/outside";
import type { Scope } from "../scope";
import { busyTimes } from "./busyTimes";
import { heldForOthers, holdTimes, isTaken, startHolding, type Holder } from "./heldTimes";
import { requireMechanic } from "./requireMechanic";
import { travelByRoad } from "./roads";
import { travelBetween } from "./travelBetween";

/** More are nobody's to choose from. */
const MOST_OFFERS = 60;

const MECHANICS = "select id from people where business_id = $1 and is_mechanic order by name, id";
const VISITS = `
  select state from visits
  where business_id = $1 and starts_at >= $2 and starts_at < $3 and not cancelled`;
/** What times are looked for with. */
export interface Looking {
  db: Sequelize;
  outside: Pick<Outside, "routing">;
  settings: Pick<BusinessSettings, "crew" | "home">;
  now: string;
}

type Asked = z.output<(typeof routes.offeredTimes)["body"]>;
type Wanted = Omit<Asked, "heldFor" | "hold">;
type Where = Pick<Scope, "businessId" | "timeZone">;
type TravelTime = (from: Spot, to: Spot) => number;

/**
 * Times at which a visit fits into what is booked, least added driving first. The first of them are held for whoever asks,
 * in place of those held for the same before.
 */
export async function offeredTimes(
  looking: Looking,
  scope: Scope,
  { heldFor, hold, ...wanted }: Asked,
): Promise<{ offers: TimeOffer[]; heldUntil: string | null }> {
  const { db } = looking;
  // Drives are asked for before the others wait: a routing server may take its time.
  const travel = await travelFor(looking, scope, wanted);
  if (heldFor === null)
    return { offers: await timesFor(looking, scope, wanted, { travel, taken: [] }), heldUntil: null };
  const holder: Holder = { businessId: scope.businessId, personId: scope.actor.id, heldFor };
  return db.transaction(async (transaction) => {
    await startHolding(db, scope.businessId, transaction);
    const taken = await heldForOthers(db, holder, transaction);
    const offers = await timesFor(looking, scope, wanted, { travel, taken }, transaction);
    const heldUntil = await holdTimes(db, holder, wanted.place, offers.slice(0, hold), transaction);
    return { offers, heldUntil: hold > 0 && offers.length > 0 ? heldUntil : null };
  });
}

/** Drives between all there is in some days and a new place. */
export async function travelFor(
  { db, outside, settings, now }: Looking,
  where: Where,
  { place, days }: Wanted,
): Promise<TravelTime> {
  if (!outside.routing) return travelByRoad();
  const visits = await visitsBooked(db, where, now, days);
  const bases = settings.crew.flatMap(({ base }) => base ?? []);
  return travelBetween(outside.routing, [settings.home, place, ...bases, ...visits.map((visit) => visit.place)]);
}

/** Times at which a visit fits, with what else is taken. */
export async function timesFor(
  { db, settings, now }: Looking,
  where: Where,
  { days, ...wanted }: Wanted,
  { travel, taken }: { travel: TravelTime; taken: readonly BusyTime[] },
  transaction?: Transaction,
): Promise<TimeOffer[]> {
  const { businessId, timeZone: zone } = where;
  const mechanics = await askPrepared<{ id: string }>(db, MECHANICS, [businessId], transaction);
  const own = await busyTimes(db, businessId, rangeOf(where, now, days), transaction);
  // Where somebody is meanwhile, their own calendar does not say.
  const busy = own.map((time) => ({ ...time, place: null }));
  const visits = await visitsBooked(db, where, now, days, transaction);
  const crew = mechanics.map(({ id }) => settings.crew.find(({ personId }) => personId === id) ?? usualCrewMember(id));
  const around = { now, zone, days, crew, home: settings.home, visits, busy: [...busy, ...taken], travel };
  return offerTimes(wanted, around).slice(0, MOST_OFFERS);
}

async function visitsBooked(
  db: Sequelize,
  where: Where,
  now: string,
  days: number,
  transaction?: Transaction,
): Promise<VisitState[]> {
  const values = [where.businessId, ...rangeOf(where, now, days)];
  const rows = await askPrepared<{ state: Readonly<Record<string, unknown>> }>(db, VISITS, values, transaction);
  return rows.map(({ state }) => upgradeVisit(state));
}

/** From today's midnight on so many days. */
function rangeOf({ timeZone: zone }: Where, now: string, days: number): [string, string] {
  const today = dayOf(now, zone);
  return [instantAt(today, 0, zone), instantAt(addDays(today, days), 0, zone)];
}

/**
 * Holds one picked time, in place of those held for the same before.
 * @throws {AppError} `time/taken` where somebody else holds it, or has a visit then.
 */
export async function pickTime(
  db: Sequelize,
  { businessId, actor }: Scope,
  { heldFor, place, ...time }: z.output<(typeof routes.pickTime)["body"]>,
): Promise<{ heldUntil: string }> {
  await requireMechanic(businessId, time.mechanicId);
  const holder: Holder = { businessId, personId: actor.id, heldFor };
  return db.transaction(async (transaction) => {
    await startHolding(db, businessId, transaction);
    if (await isTaken(db, holder, time, transaction))
      throw new AppError(
        "time/taken",
        "Somebody else is offering this time, or just booked it. Nothing is lost; pick another time.",
      );
    return { heldUntil: await holdTimes(db, holder, place, [time], transaction) };
  });
}
