import { addDays, dayOf, instantAt, minuteOfDay, upgradeVisit, type VisitState } from "@mechanon/core";
import { askPrepared } from "../db/askPrepared";
import { ofBusiness } from "../db/ofBusiness";
import type { CommandDeps } from "../commands/aggregate";
import { tellOfVisit } from "./tellOfVisit";

export const TELL_TIMES_TASK = "tellTimes";

/** So long after its start a visit nobody set off to is told as late; then somebody has to call. */
const LATE_HOURS = 3;
/** Told in steps, so that a minute more is no other message. */
const LATE_STEP_MINUTES = 5;

/** What the clock tells the customers of one business: that somebody comes tomorrow, that a visit runs late. */
export async function tellTimes(deps: CommandDeps, businessId: string, now: Date): Promise<void> {
  await ofBusiness(businessId, async () => {
    const { timeZone, settings } = await deps.rules.now(businessId);
    const { dayBeforeMinute, lateMinutes } = settings.messages;
    const scope = { businessId, timeZone };
    const today = dayOf(now.toISOString(), timeZone);
    const tell = (visit: VisitState, telling: Parameters<typeof tellOfVisit>[3]): Promise<number> =>
      deps.db.transaction((transaction) => tellOfVisit(deps, scope, visit, telling, transaction));
    if (minuteOfDay(now.toISOString(), timeZone) >= dayBeforeMinute) {
      const [from, to] = [1, 2].map((days) => instantAt(addDays(today, days), 0, timeZone));
      for (const visit of await stillBooked(deps, businessId, from ?? "", to ?? ""))
        await tell(visit, { kind: "dayBefore" });
    }
    const [from, to] = [LATE_HOURS * 60, lateMinutes].map((minutes) => new Date(now.getTime() - minutes * 60_000));
    for (const visit of await stillBooked(deps, businessId, from?.toISOString() ?? "", to?.toISOString() ?? "")) {
      const behind = (now.getTime() - Date.parse(visit.startsAt)) / 60_000;
      await tell(visit, { kind: "late", minutes: Math.ceil(behind / LATE_STEP_MINUTES) * LATE_STEP_MINUTES });
    }
  });
}

/** Visits that start in a span and that nobody set off to. */
async function stillBooked({ db }: CommandDeps, businessId: string, from: string, to: string): Promise<VisitState[]> {
  const rows = await askPrepared<{ state: Readonly<Record<string, unknown>> }>(
    db,
    `select state from visits where business_id = $1 and starts_at >= $2 and starts_at < $3 and not cancelled
       and set_off_at is null and left_at is null order by starts_at`,
    [businessId, from, to],
  );
  return rows.map(({ state }) => upgradeVisit(state));
}
