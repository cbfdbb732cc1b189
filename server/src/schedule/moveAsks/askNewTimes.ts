import { randomBytes } from "node:crypto";
import {
  addDays,
  dayOf,
  instantAt,
  messageWays,
  minutesBetween,
  needsOfVisit,
  placeFaults,
  showDayIn,
  showMomentIn,
  showTimeIn,
  upgradeDetails,
  visitStanding,
  weatherThen,
  type HourOfWeather,
  type TimeOffer,
  type VisitState,
} from "@mechanon/core";
import type { MoveAsk } from "@mechanon/contract";
import type { Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import { askPrepared } from "../../db/askPrepared";
import type { Deps, Scope } from "../../scope";
import { compose } from "../../messages/compose";
import { visitsOfDays } from "../../visits/day";
import { forecast } from "../forecast";
import { heldForOthers, holdTimes, startHolding, type Holder } from "../heldTimes";
import { timesFor, travelFor, type Looking } from "../offeredTimes";
import { withWork, workOf, type VisitWithWork } from "../withWork";
import { listMoveAsks } from "./listMoveAsks";

/** A new time is looked for in so many days from today. */
const DAYS_LOOKED = 14;
const WHY = "Rain is likely";

type AskDeps = Pick<Deps, "db" | "outside" | "rules" | "config">;

/**
 * Finds a new time for each stop of a day that needs it dry where rain is likely, holds it until the owner's hour, and
 * writes the messages; nothing is sent yet. Who was asked already is not asked anew.
 * @throws {AppError} `weather/unreachable`.
 */
export async function askNewTimes(
  deps: AskDeps,
  scope: Scope,
  date: string,
  now: Date,
): Promise<{ asks: MoveAsk[]; without: { visitId: string; customerName: string }[] }> {
  const { db, outside, rules } = deps;
  const { settings, library } = await rules.now(scope.businessId);
  const until = addDays(dayOf(now.toISOString(), scope.timeZone), DAYS_LOOKED);
  const weatherAt = async ({ place }: VisitState): Promise<HourOfWeather[]> => {
    const latitude = place.latitude ?? settings.home.latitude;
    const longitude = place.longitude ?? settings.home.longitude;
    return forecast(outside, scope.timeZone, { from: date, to: until > date ? until : date, latitude, longitude });
  };
  const asked = new Set(
    (await listMoveAsks(db, scope)).filter(({ answer }) => answer === null).map((ask) => ask.visitId),
  );
  const stops = (await stopsOf(deps, scope, date)).filter(({ visit }) => !asked.has(visit.id));
  const looking: Looking = { db, outside, settings, now: now.toISOString() };
  const without: { visitId: string; customerName: string }[] = [];
  for (const { visit, orders } of stops) {
    const hours = await weatherAt(visit);
    const needs = needsOfVisit(workOf({ orders }), library, settings.visits, visit.arranged);
    const isWet = (when: { startsAt: string; endsAt: string }): boolean =>
      placeFaults(needs, {
        agreed: visit.arranged,
        when,
        weather: weatherThen(hours, when),
        daylight: null,
        wetPercent: settings.visits.wetPercent,
      }).some(({ condition }) => condition === "dry");
    if (!isWet(visit)) continue;
    const wanted = {
      place: visit.place,
      minutes: minutesBetween(visit.startsAt, visit.endsAt),
      skills: needs.skills,
      carries: needs.carries,
      notBefore: null,
      between: null,
      isUrgent: true,
      mechanicId: null,
      movesVisitId: visit.id,
      days: DAYS_LOOKED,
    };
    const travel = await travelFor(looking, scope, wanted);
    const holder: Holder = { businessId: scope.businessId, personId: scope.actor.id, heldFor: visit.id };
    const isFound = await db.transaction(async (transaction) => {
      await startHolding(db, scope.businessId, transaction);
      const taken = await heldForOthers(db, holder, transaction);
      const offers = await timesFor(looking, scope, wanted, { travel, taken }, transaction);
      // Beyond the forecast nobody knows whether it will be dry.
      const isDry = (each: TimeOffer): boolean => weatherThen(hours, each) !== null && !isWet(each);
      const offer = offers.find((each) => dayOf(each.startsAt, scope.timeZone) !== date && isDry(each));
      if (!offer) return false;
      await keepAsk(
        deps,
        scope,
        { visit, orders },
        offer,
        answerBy(visit, settings.visits.answerByMinute, scope.timeZone, now),
        transaction,
      );
      return true;
    });
    if (!isFound) without.push({ visitId: visit.id, customerName: orders[0]?.customerName ?? "" });
  }
  return { asks: await listMoveAsks(db, scope), without };
}

/** Booked stops of a day that may be moved, with what they are for. */
async function stopsOf({ db }: AskDeps, scope: Scope, date: string): Promise<VisitWithWork[]> {
  const visits = (await visitsOfDays(db, scope, { from: date, to: date }))
    .map(({ visit }) => visit)
    .filter((visit) => visitStanding(visit) === "booked" && !visit.isLocked);
  return withWork(db, scope.businessId, visits);
}

/** The owner's next hour; where the visit begins before that, until it begins. */
function answerBy({ startsAt }: VisitState, minute: number, zone: string, now: Date): string {
  const today = dayOf(now.toISOString(), zone);
  const hours = [today, addDays(today, 1)].map((day) => instantAt(day, minute, zone));
  return hours.find((hour) => Date.parse(hour) > now.getTime() && hour < startsAt) ?? startsAt;
}

async function keepAsk(
  { db, config, rules }: AskDeps,
  scope: Scope,
  { visit, orders }: VisitWithWork,
  offer: TimeOffer,
  until: string,
  transaction: Transaction,
): Promise<void> {
  const { businessId, timeZone: zone, actor } = scope;
  const [id, token] = [uuid(), randomBytes(24).toString("base64url")];
  const first = orders.find(({ customer }) => customer !== null);
  const details = first?.customer ? upgradeDetails(first.customer) : null;
  const language = details?.language ?? "en";
  const way = details ? messageWays(details)[0] : undefined;
  const told = { name: first?.customerName ?? "", language };
  const { subject, text: message } = compose(
    await rules.now(businessId, transaction),
    "newTime",
    told,
    way?.channel ?? "text",
    {
      before: showMomentIn(language, visit.startsAt, zone),
      day: showDayIn(language, offer.startsAt, zone),
      time: showTimeIn(language, offer.startsAt, zone),
      link: `${config.publicUrl}/t/${token}`,
    },
  );
  // Of its own: whoever looks for another time of the visit meanwhile lets none of it go.
  const holder: Holder = { businessId, personId: actor.id, heldFor: id };
  await holdTimes(db, holder, visit.place, [offer], transaction, until);
  await askPrepared(
    db,
    `insert into move_asks (business_id, id, visit_id, starts_at, ends_at, mechanic_id, from_starts_at, asked_by, why,
       recipient, message, asked_at, answer_by, subject)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, now(), $12, $13)`,
    [
      businessId,
      id,
      visit.id,
      offer.startsAt,
      offer.endsAt,
      offer.mechanicId,
      visit.startsAt,
      actor.id,
      WHY,
      way?.recipient ?? null,
      message,
      until,
      subject,
    ],
    transaction,
  );
  await askPrepared(
    db,
    "insert into directory.move_links (token, business_id, ask_id) values ($1, $2, $3)",
    [token, businessId, id],
    transaction,
  );
}
