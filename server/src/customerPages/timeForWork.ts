import {
  approvedJobs,
  approvedParts,
  isRunning,
  needsOfVisit,
  nothingArranged,
  partsThereAt,
  upgradeDetails,
  upgradeVisit,
  type AskedTime,
  type Place,
  type WorkOrderState,
} from "@mechanon/core";
import { DateTime } from "luxon";
import { v5 as uuidOf } from "uuid";
import { NOBODY } from "../access/nobody";
import { findCustomer } from "../customers/service";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import { OutsideError } from "../outside/http";
import { heldForOthers, type Holder } from "../schedule/heldTimes";
import { timesFor, travelFor } from "../schedule/offeredTimes";
import { timesApart } from "../schedule/timesApart";
import type { Deps } from "../scope";
import { listSuppliers } from "../sourcing/suppliers";
import { runVisitCommands } from "../visits/service";
import { findWorkOrder } from "../workOrders/service";
import { isDone } from "../commands/isDone";
import { customersScope } from "./customersScope";
import type { FoundPage } from "./findPage";
import { requireShown } from "./shown";

type TimeDeps = Pick<Deps, "db" | "rules" | "outside" | "config">;

const DAYS_LOOKED = 14;
/** Nobody is sent where the answer was hardly read. */
const LEAD_HOURS = 2;
/** Where nothing tells how long it takes. */
const USUAL_MINUTES = 60;
/** The next visit of a work order has one id, whoever books it here: of two at one moment one is refused. */
const BOOKED = "01900000-0000-7000-8000-626f6f6b6564";

/** Times at which somebody can do what was agreed, with its parts there; none where nobody can say when those are. */
export async function timesForWork(deps: TimeDeps, page: FoundPage, workOrderId: string): Promise<AskedTime[]> {
  await requireShown(deps.db, page, workOrderId);
  const { db, outside, rules } = deps;
  const { businessId } = page;
  const { state, customerId } = await findWorkOrder({ businessId }, workOrderId);
  const visits = await visitsOf(deps, businessId, workOrderId);
  const isPlanned = visits.some(isRunning);
  const jobs = approvedJobs(state).filter(({ finishedAt }) => finishedAt === null);
  const place = visits.at(-1)?.place ?? (await placeOf(businessId, customerId));
  if (isPlanned || jobs.length === 0 || place === null) return [];
  const now = DateTime.utc();
  const there = partsThereAt(state, await offersFor(deps, businessId, state), now.toJSDate().toISOString());
  if (there === null) return [];
  const { settings, library, timeZone } = await rules.now(businessId);
  const needs = needsOfVisit({ jobs, concerns: [] }, library, settings.visits, nothingArranged());
  const looking = { db, outside, settings, now: now.toJSDate().toISOString() };
  const soonest = now.plus({ hours: LEAD_HOURS }).toJSDate().toISOString();
  const wanted = {
    ...{ place, minutes: needs.minutes ?? USUAL_MINUTES, skills: needs.skills, carries: needs.carries },
    ...{ notBefore: there > soonest ? there : soonest, between: null, isUrgent: false },
    ...{ mechanicId: null, movesVisitId: null, days: DAYS_LOOKED },
  };
  const where = { businessId, timeZone };
  const travel = await travelFor(looking, where, wanted);
  const offers = await db.transaction(async (transaction) => {
    // What somebody of ours is just offering to another is nobody else's.
    const holder: Holder = { businessId, personId: NOBODY, heldFor: workOrderId };
    const taken = await heldForOthers(db, holder, transaction);
    return timesFor(looking, where, wanted, { travel, taken }, transaction);
  });
  return timesApart(offers, timeZone);
}

/** Takes one of those times. @throws {AppError} `ask/time-gone`. */
export async function bookOnPage(
  deps: TimeDeps,
  page: FoundPage,
  workOrderId: string,
  { commandId, time }: { commandId: string; time: AskedTime },
): Promise<void> {
  await requireShown(deps.db, page, workOrderId);
  // Sent once more after the answer was lost.
  if (await isDone(deps.db, page.businessId, commandId)) return;
  const visits = await visitsOf(deps, page.businessId, workOrderId);
  const visitId = uuidOf(`${workOrderId}/${visits.length}`, BOOKED);
  const offered = await timesForWork(deps, page, workOrderId);
  const isOffered = offered.some(
    ({ mechanicId, startsAt, endsAt }) =>
      mechanicId === time.mechanicId && startsAt === time.startsAt && endsAt === time.endsAt,
  );
  const { customerId } = await findWorkOrder(page, workOrderId);
  const place = visits.at(-1)?.place ?? (await placeOf(page.businessId, customerId));
  if (!isOffered || place === null) throw gone();
  const { outcomes } = await runVisitCommands(deps, await customersScope(deps, page), visitId, [
    {
      id: commandId,
      at: new Date().toISOString(),
      command: {
        ...{ type: "bookVisit", workOrderIds: [workOrderId], ...time, place, note: "", allowOverlap: false },
        ...{ arranged: visits.at(-1)?.arranged ?? nothingArranged(), readyBy: null },
        ...{ anotherTripWhy: visits.length > 0 ? "Picked on the customer’s page" : "", series: null },
      },
    },
  ]);
  if (outcomes.some(({ outcome }) => outcome === "refused")) throw gone();
}

async function visitsOf({ db }: Pick<Deps, "db">, businessId: string, workOrderId: string) {
  const rows = await askPrepared<{ state: Readonly<Record<string, unknown>> }>(
    db,
    `select v.state from visit_work_orders l join visits v on v.business_id = l.business_id and v.id = l.visit_id
     where l.business_id = $1 and l.work_order_id = $2 order by v.starts_at`,
    [businessId, workOrderId],
  );
  return rows.map(({ state }) => upgradeVisit(state));
}

/** Where the customer keeps the car, as far as that is known. */
async function placeOf(businessId: string, customerId: string | null): Promise<Place | null> {
  if (customerId === null) return null;
  const { details } = await findCustomer({ businessId }, customerId);
  return upgradeDetails(details).serviceAddresses[0]?.place ?? null;
}

/** What suppliers have of the parts that are still to be bought; one that does not answer has none. */
async function offersFor({ db, outside }: TimeDeps, businessId: string, state: WorkOrderState) {
  const numbers = approvedParts(state, "needed").flatMap(({ partNumber }) => partNumber ?? []);
  if (numbers.length === 0) return [];
  const suppliers = await listSuppliers(db, businessId);
  const offers = await Promise.all(
    suppliers.map(({ id }) =>
      outside.suppliers.offers(id, numbers).catch((error: unknown) => {
        if (error instanceof OutsideError) return [];
        throw error;
      }),
    ),
  );
  return offers.flat();
}

function gone(): AppError {
  return new AppError(
    "ask/time-gone",
    "This time was taken meanwhile, or the parts are not there by then. Nothing was booked; pick another.",
  );
}
