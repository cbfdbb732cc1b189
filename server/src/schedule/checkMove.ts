import {
  dayOf,
  daylightOf,
  moveBreaks,
  needsOfVisit,
  partsReady,
  upgradeVisit,
  usualCrewMember,
  weatherThen,
  type MoveBreak,
  type MoveTo,
} from "@mechanon/core";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import type { Deps, Scope } from "../scope";
import { visitsOfDays } from "../visits/day";
import { busyTimes } from "./busyTimes";
import { forecast } from "./forecast";
import { requireMechanic } from "./requireMechanic";
import { travelByRoad } from "./roads";
import { travelBetween } from "./travelBetween";
import { withWork, workOf } from "./withWork";

/** Everything a move of a visit would break. @throws {AppError} `visit/not-found`, `mechanic/not-found`. */
export async function checkMove(
  { db, outside, rules }: Pick<Deps, "db" | "outside" | "rules">,
  scope: Scope,
  visitId: string,
  to: MoveTo,
  now: Date,
): Promise<MoveBreak[]> {
  const { businessId, timeZone: zone } = scope;
  await requireMechanic(businessId, to.mechanicId);
  const [row] = await askPrepared<{ state: Readonly<Record<string, unknown>> }>(
    db,
    "select state from visits where business_id = $1 and id = $2",
    [businessId, visitId],
  );
  if (!row) throw new AppError("visit/not-found", "This visit is not there. Nothing was moved.");
  const visit = upgradeVisit(row.state);
  const { settings, library } = await rules.now(businessId);
  const date = dayOf(to.startsAt, zone);
  const visits = (await visitsOfDays(db, scope, { from: date, to: date }))
    .map((each) => each.visit)
    .filter(({ mechanicId }) => mechanicId === to.mechanicId);
  const busy = (await busyTimes(db, businessId, [to.startsAt, to.endsAt])).filter(
    ({ mechanicId }) => mechanicId === to.mechanicId,
  );
  const [stop] = await withWork(db, businessId, [visit]);
  const needs = needsOfVisit(workOf(stop ?? { orders: [] }), library, settings.visits, visit.arranged);
  const ready = (stop?.orders ?? []).flatMap(({ state }) => partsReady(state).readyAt ?? []).sort();
  const member = settings.crew.find(({ personId }) => personId === to.mechanicId) ?? usualCrewMember(to.mechanicId);
  const at = {
    latitude: visit.place.latitude ?? settings.home.latitude,
    longitude: visit.place.longitude ?? settings.home.longitude,
  };
  const spots = [member.base ?? settings.home, visit.place, ...visits.map(({ place }) => place)];
  const hours = needs.conditions.some(({ condition }) => condition === "dry")
    ? await forecast(outside, zone, { from: date, to: date, ...at }).catch(unknownWeather)
    : [];
  return moveBreaks(visit, to, {
    now: now.toISOString(),
    zone,
    member,
    home: settings.home,
    visits,
    busy: busy.map((time) => ({ ...time, place: null })),
    travel: outside.routing ? await travelBetween(outside.routing, spots) : travelByRoad(),
    needs,
    partsReadyAt: ready.at(-1) ?? null,
    weather: weatherThen(hours, to),
    daylight: daylightOf(date, zone, at),
    wetPercent: settings.visits.wetPercent,
  });
}

/** A move is checked without the weather where nobody tells it. */
function unknownWeather(error: unknown): [] {
  if (error instanceof AppError) return [];
  throw error;
}
