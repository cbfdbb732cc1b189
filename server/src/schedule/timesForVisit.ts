import { minutesBetween, needsOfVisit, type TimeOffer, type VisitState } from "@mechanon/core";
import { DateTime } from "luxon";
import type { Deps } from "../scope";
import { heldForOthers, type Holder } from "./heldTimes";
import { timesFor, travelFor } from "./offeredTimes";
import { withWork, workOf } from "./withWork";

/** Nobody is sent where a customer hardly knew of it. */
const LEAD_HOURS = 2;

/** Other times for a visit as it is, for its customer to choose from: by whoever can do it, nobody's held ones. */
export async function timesForVisit(
  { db, outside, rules }: Pick<Deps, "db" | "outside" | "rules">,
  businessId: string,
  visit: VisitState,
  { days, mechanicId }: { days: number; mechanicId: string | null },
): Promise<TimeOffer[]> {
  const { settings, library, timeZone } = await rules.now(businessId);
  const [stop] = await withWork(db, businessId, [visit]);
  const needs = needsOfVisit(workOf(stop ?? { orders: [] }), library, settings.visits, visit.arranged);
  const now = DateTime.utc();
  const looking = { db, outside, settings, now: now.toJSDate().toISOString() };
  const wanted = {
    place: visit.place,
    minutes: minutesBetween(visit.startsAt, visit.endsAt),
    skills: needs.skills,
    carries: needs.carries,
    notBefore: now.plus({ hours: LEAD_HOURS }).toJSDate().toISOString(),
    between: null,
    isUrgent: false,
    mechanicId,
    movesVisitId: visit.id,
    days,
  };
  const where = { businessId, timeZone };
  const travel = await travelFor(looking, where, wanted);
  const holder: Holder = { businessId, personId: visit.mechanicId, heldFor: visit.id };
  return db.transaction(async (transaction) => {
    const taken = await heldForOthers(db, holder, transaction);
    return timesFor(looking, where, wanted, { travel, taken }, transaction);
  });
}
