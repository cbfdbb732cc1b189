import { randomBytes } from "node:crypto";
import { addDays, dayOf, instantAt, upgradeVisit } from "@mechanon/core";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { ofBusiness } from "../db/ofBusiness";
import { AppError } from "../errors/appError";
import type { Deps, Scope } from "../scope";
import { toSummary, type SummaryRow } from "../workOrders/summaries";
import { toCalendar, type CalendarVisit } from "./visitCalendar";

const DAYS_BEFORE = 31;
const DAYS_AFTER = 366;
const MOST_VISITS = 3000;

const VISITS = `
  select v.state, v.revision, iso(greatest(
      (select max(h.recorded_at) from history h where h.business_id = v.business_id and h.aggregate_id = v.id),
      (v.state ->> 'bookedAt')::timestamptz)) as "changedAt", (
    select coalesce(json_agg(s.summary order by s.number), '[]') from visit_work_orders link
    join work_order_summaries s on s.business_id = link.business_id and s.id = link.work_order_id
    where link.business_id = v.business_id and link.visit_id = v.id) as orders
  from visits v where v.business_id = $1`;

type Row = Pick<CalendarVisit, "revision" | "changedAt"> & {
  state: Readonly<Record<string, unknown>>;
  orders: SummaryRow[];
};

function toVisit({ state, orders, ...row }: Row): CalendarVisit {
  return { ...row, visit: upgradeVisit(state), workOrders: orders.map(toSummary) };
}

/** The links of the mechanics' calendars: all for who sets things up, one's own for the others. */
export async function calendarLinks(
  { db, config }: Pick<Deps, "db" | "config">,
  { businessId, actor }: Scope,
): Promise<{ links: { personId: string; url: string | null }[] }> {
  const rows = await askPrepared<{ personId: string; token: string | null }>(
    db,
    `select p.id as "personId", l.token from people p
     left join directory.calendar_links l on l.business_id = p.business_id and l.person_id = p.id
     where p.business_id = $1 and p.is_mechanic and ($2 or p.id = $3) order by p.name, p.id`,
    [businessId, actor.rights.includes("settings"), actor.id],
  );
  return {
    links: rows.map(({ personId, token }) => ({
      personId,
      url: token === null ? null : `${config.publicUrl}/api/calendars/${token}`,
    })),
  };
}

/**
 * A new link to a mechanic's calendar; the one of before opens nothing from then on.
 * @throws {AppError} `mechanic/not-found`; somebody else's is the owner's to renew.
 */
export async function renewCalendarLink(
  deps: Pick<Deps, "db" | "config">,
  scope: Scope,
  personId: string,
): ReturnType<typeof calendarLinks> {
  const { links } = await calendarLinks(deps, scope);
  if (!links.some((link) => link.personId === personId))
    throw new AppError("mechanic/not-found", "No calendar of this mechanic is yours to share. Nothing was changed.");
  await askPrepared(
    deps.db,
    `insert into directory.calendar_links (business_id, person_id, token) values ($1, $2, $3)
     on conflict (business_id, person_id) do update set token = excluded.token, created_at = now()`,
    [scope.businessId, personId, randomBytes(24).toString("base64url")],
  );
  return calendarLinks(deps, scope);
}

/** The calendar behind a secret link. @throws {AppError} `calendar/not-found`. */
export async function openCalendar(
  { db, config, rules }: Pick<Deps, "db" | "config" | "rules">,
  token: string,
): Promise<string> {
  const [link] = await askPrepared<{ businessId: string; personId: string }>(
    db,
    'select business_id as "businessId", person_id as "personId" from directory.find_calendar_link($1)',
    [token],
  );
  if (!link)
    throw new AppError(
      "calendar/not-found",
      "No calendar is behind this link any more. Ask for the new one in Mechanon.",
    );
  const { businessId, personId } = link;
  return ofBusiness(businessId, async () => {
    const { name, timeZone } = await rules.now(businessId);
    const today = dayOf(new Date().toISOString(), timeZone);
    const range = [addDays(today, -DAYS_BEFORE), addDays(today, DAYS_AFTER)].map((day) => instantAt(day, 0, timeZone));
    const rows = await askPrepared<Row>(
      db,
      `${VISITS} and v.mechanic_id = $2 and v.starts_at >= $3 and v.starts_at < $4
       order by v.starts_at, v.id limit ${MOST_VISITS}`,
      [businessId, personId, ...range],
    );
    return toCalendar(name, rows.map(toVisit), (id) => `${config.publicUrl}/work/${id}`);
  });
}

/** One visit as a calendar. @throws {AppError} `visit/not-found`. */
export async function visitCalendar(
  { db, config }: { db: Sequelize } & Pick<Deps, "config">,
  { businessId, businessName }: Scope,
  visitId: string,
): Promise<string> {
  const [row] = await askPrepared<Row>(db, `${VISITS} and v.id = $2`, [businessId, visitId]);
  if (!row) throw new AppError("visit/not-found", "This visit is not there.");
  return toCalendar(businessName, [toVisit(row)], (id) => `${config.publicUrl}/work/${id}`);
}
