import type { Response } from "express";
import { addDays, dayOf, instantAt } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { AppError } from "../errors/appError";
import type { Mounting } from "../http/mount";
import type { Deps, Scope } from "../scope";
import { visitsOfDays } from "../visits/day";
import { busyTimes, forgetBusyTimes, replaceBusyTimes } from "./busyTimes";
import { calendarLinks, openCalendar, renewCalendarLink, visitCalendar } from "./calendars";
import { checkMove } from "./checkMove";
import { findAddresses } from "./findAddresses";
import { forecast } from "./forecast";
import { letGo } from "./heldTimes";
import { answerMoveAsk } from "./moveAsks/answerMoveAsk";
import { askNewTimes } from "./moveAsks/askNewTimes";
import { listMoveAsks } from "./moveAsks/listMoveAsks";
import { answerNewTime, openNewTime } from "./moveAsks/newTimeByLink";
import { sendMoveAsks } from "./moveAsks/sendMoveAsks";
import { offeredTimes, pickTime } from "./offeredTimes";
import { readCalendar } from "./readCalendar";
import { findRepeats } from "./repeats";
import { requireMechanic } from "./requireMechanic";
import { roadsWithin } from "./roads";
import { visitTable } from "./visitTable";

export function scheduleRoutes(mounting: Mounting, deps: Deps): void {
  const { db, outside, rules } = deps;
  mounting.route(routes.findAddresses, async ({ query: { typed } }) => ({
    addresses: await findAddresses(outside, typed),
  }));
  mounting.route(routes.mapRoads, ({ query }) => Promise.resolve({ roads: roadsWithin(query) }));
  mounting.route(routes.offeredTimes, async ({ scope, body }) => {
    const { settings } = await rules.now(scope.businessId);
    return offeredTimes({ db, outside, settings, now: new Date().toISOString() }, scope, body);
  });
  mounting.route(routes.pickTime, ({ scope, body }) => pickTime(db, scope, body));
  mounting.route(routes.letTimesGo, async ({ scope, params }) => {
    await letGo(db, scope.businessId, [params.id]);
    return {};
  });
  mounting.route(routes.getDays, async ({ scope, query }) => ({
    visits: await visitsOfDays(db, scope, query, true),
    busy: await busyTimes(db, scope.businessId, [
      instantAt(query.from, 0, scope.timeZone),
      instantAt(addDays(query.to, 1), 0, scope.timeZone),
    ]),
  }));
  mounting.route(routes.getWeather, async ({ scope, query: { from, to, latitude, longitude } }) => {
    const { home } = (await rules.now(scope.businessId)).settings;
    const at = { latitude: latitude ?? home.latitude, longitude: longitude ?? home.longitude };
    return { hours: await forecast(outside, scope.timeZone, { from, to, ...at }) };
  });
  mounting.route(routes.checkMove, async ({ scope, params, body }) => ({
    breaks: await checkMove(deps, scope, params.id, body, new Date()),
  }));
  mounting.route(routes.findRepeats, async ({ scope, body }) => {
    await requireMechanic(scope.businessId, body.mechanicId);
    return findRepeats(db, scope, body);
  });
  mounting.route(routes.askNewTimes, ({ scope, body }) => askNewTimes(deps, scope, body.date, new Date()));
  mounting.route(routes.listMoveAsks, async ({ scope }) => ({ asks: await listMoveAsks(db, scope) }));
  mounting.route(routes.sendMoveAsks, async ({ scope, body }) => ({ asks: await sendMoveAsks(db, scope, body.ids) }));
  mounting.route(routes.answerMoveAsk, async ({ scope, params, body }) => {
    await answerMoveAsk(deps, scope, params.id, body.answer);
    return { asks: await listMoveAsks(db, scope) };
  });
  mounting.open(routes.openNewTime, ({ params }) => openNewTime(deps, params.token, new Date()));
  mounting.open(routes.answerNewTime, ({ params, body }) => answerNewTime(deps, params.token, body.answer, new Date()));

  mounting.route(routes.listCalendarLinks, ({ scope }) => calendarLinks(deps, scope));
  mounting.route(routes.renewCalendarLink, ({ scope, params }) => renewCalendarLink(deps, scope, params.id));
  mounting.open(routes.openCalendar, async ({ params, res }) =>
    sendCalendar(res, await openCalendar(deps, params.token)),
  );
  mounting.route(routes.visitCalendar, async ({ scope, params, res }) =>
    sendCalendar(res, await visitCalendar(deps, scope, params.id)),
  );
  mounting.route(routes.readBusyTimes, async ({ scope, params, file }) => {
    await requireOwnCalendar(scope, params.id);
    const read = await readCalendar(file.toString("utf8"), new Date(), scope.timeZone);
    if (!read)
      throw new AppError(
        "calendar/unreadable",
        "This file is no calendar. What was read before is kept; save the calendar as .ics, then read that.",
      );
    await replaceBusyTimes(db, scope.businessId, params.id, read.times);
    return { busy: read.times.length, leftOut: read.leftOut, isCut: read.isCut };
  });
  mounting.route(routes.forgetBusyTimes, async ({ scope, params }) => {
    await requireOwnCalendar(scope, params.id);
    return { forgotten: await forgetBusyTimes(db, scope.businessId, params.id) };
  });
  mounting.route(routes.visitTable, async ({ scope, query, res }) => {
    const table = visitTable(await visitsOfDays(db, scope, query, true), scope.timeZone, (instant) =>
      dayOf(instant, scope.timeZone),
    );
    res.type("text/csv").set("Content-Disposition", `attachment; filename="visits-${query.from}.csv"`).send(table);
  });
}

function sendCalendar(res: Response, calendar: string): void {
  res
    .type("text/calendar")
    .set("Content-Disposition", 'inline; filename="visits.ics"')
    .set("Cache-Control", "private, no-cache")
    .send(calendar);
}

/** One's own, or any mechanic's for who sets things up. @throws {AppError} `mechanic/not-found`. */
async function requireOwnCalendar({ businessId, actor }: Scope, personId: string): Promise<void> {
  await requireMechanic(businessId, personId);
  if (actor.id !== personId && !actor.rights.includes("settings"))
    throw new AppError("mechanic/not-found", "No calendar of this mechanic is yours to change. Nothing was changed.");
}
