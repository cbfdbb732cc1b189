import { addDays, dayOf } from "@mechanon/core";
import type { DayVisit, WorkOrderStamp, WorkOrderView } from "@mechanon/contract";
import { customerSheet } from "../customers/sheet";
import { askPrepared } from "../db/askPrepared";
import type { Deps, Scope } from "../scope";
import { vehicleSheet } from "../vehicles/sheet";
import { visitsOfDay } from "../visits/day";
import { viewWorkOrder } from "../workOrders/view";

/** Today and tomorrow. */
const DAYS = 2;
/** So many at once; a device that was away for long asks again for the rest. */
const MOST_AT_ONCE = 60;

const STAMPS = `
  select w.id, w.revision, w.customer_id as "customerId", w.vehicle_id as "vehicleId",
    coalesce(c.version, 0) as "customerVersion", coalesce(v.version, 0) as "vehicleVersion"
  from work_orders w
  left join customers c on c.business_id = w.business_id and c.id = w.customer_id
  left join vehicles v on v.business_id = w.business_id and v.id = w.vehicle_id
  where w.business_id = $1 and w.id = any($2::uuid[])`;

interface Stamped extends WorkOrderStamp {
  id: string;
  customerId: string | null;
  vehicleId: string | null;
}

interface Along {
  days: { date: string; visits: DayVisit[] }[];
  workOrders: WorkOrderView[];
  customers: Awaited<ReturnType<typeof customerSheet>>[];
  cars: Awaited<ReturnType<typeof vehicleSheet>>[];
  photoIds: string[];
}

/**
 * What a device takes along for when there is no signal: the visits of today and tomorrow, and of their work orders, and
 * of those it knows, what changed since its copy, with customer and car.
 *
 * @param known - the copies the device has.
 */
export async function takeAlong(
  deps: Deps,
  scope: Scope,
  known: Readonly<Record<string, WorkOrderStamp>>,
  now: Date,
): Promise<Along> {
  const today = dayOf(now.toISOString(), scope.timeZone);
  const days = [];
  for (let day = 0; day < DAYS; day++) {
    const date = addDays(today, day);
    days.push({ date, visits: await visitsOfDay(deps.db, scope, date) });
  }
  const ofDays = days.flatMap(({ visits }) => visits.flatMap(({ workOrders }) => workOrders.map(({ id }) => id)));
  const asked = [...new Set([...ofDays, ...Object.keys(known)])];
  const stamps = await askPrepared<Stamped>(deps.db, STAMPS, [scope.businessId, asked]);
  // Those of the days first.
  const order = new Map(asked.map((id, place) => [id, place]));
  const newer = stamps
    .filter((stamp) => isNewer(stamp, known[stamp.id]))
    .sort((a, b) => (order.get(a.id) ?? 0) - (order.get(b.id) ?? 0))
    .slice(0, MOST_AT_ONCE);
  const along: Along = { days, workOrders: [], customers: [], cars: [], photoIds: [] };
  for (const { id } of newer) along.workOrders.push(await viewWorkOrder(deps, scope, id));
  for (const id of ids(newer.map(({ customerId }) => customerId)))
    along.customers.push(await customerSheet(deps.db, scope, id));
  for (const id of ids(newer.map(({ vehicleId }) => vehicleId)))
    along.cars.push(await vehicleSheet(deps, scope, id, now));
  along.photoIds = along.workOrders.flatMap(({ state }) => photosOf(state));
  return along;
}

function isNewer(stamp: Stamped, known: WorkOrderStamp | undefined): boolean {
  return (
    known === undefined ||
    stamp.revision !== known.revision ||
    stamp.customerVersion !== known.customerVersion ||
    stamp.vehicleVersion !== known.vehicleVersion
  );
}

/** Photos a device takes along; clips are too large for it. */
function photosOf({ pictures }: WorkOrderView["state"]): string[] {
  return pictures.filter(({ media }) => media === "photo").map(({ photoId }) => photoId);
}

function ids(all: readonly (string | null)[]): string[] {
  return [...new Set(all.filter((id) => id !== null))];
}
