import {
  addDays,
  dayOf,
  instantAt,
  offerTimes,
  upgradeVisit,
  usualCrewMember,
  type BusinessSettings,
  type TimeOffer,
} from "@mechanon/core";
import type { routes } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import type { z } from "zod";
import { askPrepared } from "../db/askPrepared";
import type { Scope } from "../scope";
import { travelByRoad } from "./roads";

/** More are nobody's to choose from. */
const MOST_OFFERS = 60;

const MECHANICS = "select id from people where business_id = $1 and is_mechanic order by name, id";
const VISITS = `
  select state from visits
  where business_id = $1 and starts_at >= $2 and starts_at < $3 and not cancelled`;

/** Times at which a visit fits into what is booked, least added driving first. */
export async function offeredTimes(
  db: Sequelize,
  { businessId, timeZone: zone }: Pick<Scope, "businessId" | "timeZone">,
  settings: Pick<BusinessSettings, "crew" | "home">,
  { days, ...wanted }: z.output<(typeof routes.offeredTimes)["body"]>,
  now: string,
): Promise<TimeOffer[]> {
  const today = dayOf(now, zone);
  const range = [instantAt(today, 0, zone), instantAt(addDays(today, days), 0, zone)];
  const [mechanics, rows] = await Promise.all([
    askPrepared<{ id: string }>(db, MECHANICS, [businessId]),
    askPrepared<{ state: Readonly<Record<string, unknown>> }>(db, VISITS, [businessId, ...range]),
  ]);
  const crew = mechanics.map(({ id }) => settings.crew.find(({ personId }) => personId === id) ?? usualCrewMember(id));
  const offers = offerTimes(wanted, {
    now,
    zone,
    days,
    crew,
    home: settings.home,
    visits: rows.map(({ state }) => upgradeVisit(state)),
    travel: travelByRoad(),
  });
  return offers.slice(0, MOST_OFFERS);
}
