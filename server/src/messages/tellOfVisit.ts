import {
  inZone,
  showDayIn,
  showTimeIn,
  showVehicle,
  upgradeDetails,
  type CustomerDetails,
  type MessageKind,
  type VisitState,
} from "@mechanon/core";
import type { Vehicle } from "@mechanon/contract";
import type { Transaction } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { Scope } from "../scope";
import { firstName } from "./compose";
import { tellCustomer, type TellDeps } from "./tellCustomer";

const SERVED = `
  with dropped as (
    update messages set status = 'dropped' where business_id = $1 and visit_id = $4 and status = 'asks' and $5
  ), let_go as (
    delete from held_times where business_id = $1 and held_for = any($6::uuid[])
  )
  select distinct on (c.id) w.id as "workOrderId", c.id as "customerId", c.name, c.details, to_jsonb(v) as vehicle,
    (select name from people where business_id = $1 and id = $3) as mechanic
  from work_orders w join customers c on c.business_id = w.business_id and c.id = w.customer_id
  left join vehicles v on v.business_id = w.business_id and v.id = w.vehicle_id
  where w.business_id = $1 and w.id = any($2::uuid[]) and c.erased_at is null order by c.id, w.id`;

interface Served {
  workOrderId: string;
  customerId: string;
  name: string;
  details: CustomerDetails;
  vehicle: Pick<Vehicle, "year" | "make" | "model" | "trim"> | null;
  mechanic: string | null;
}

/** What is told of a visit. */
export interface VisitTelling {
  kind: MessageKind;
  /** Told once for each; left out: once for each time of the visit. */
  key?: string;
  /** What was to be told of the visit, and waits for somebody's yes, is not so any more. */
  dropsAsking?: boolean;
  /** What times were held for that are let go with it: one statement less. */
  letsGo?: readonly string[];
  /** Of a drive, or how late it is. */
  minutes?: number;
}

/** Tells everybody a visit is for, once each. @returns How many messages were put in line. */
export async function tellOfVisit(
  deps: TellDeps,
  scope: Pick<Scope, "businessId" | "timeZone">,
  visit: Pick<VisitState, "id" | "workOrderIds" | "mechanicId" | "startsAt">,
  { kind, key = `${visit.id}/${visit.startsAt}`, minutes, dropsAsking = false, letsGo = [] }: VisitTelling,
  transaction: Transaction,
): Promise<number> {
  if (deps.isQuiet) return 0;
  const { businessId, timeZone: zone } = scope;
  const { id: visitId, workOrderIds, mechanicId, startsAt } = visit;
  const served = await askPrepared<Served>(
    deps.db,
    SERVED,
    [businessId, workOrderIds, mechanicId, visitId, dropsAsking, letsGo],
    transaction,
  );
  let queued = 0;
  for (const { workOrderId, customerId, name, details, vehicle, mechanic } of served) {
    const told = { name, ...upgradeDetails(details) };
    const { language } = told;
    const values = {
      car: vehicle ? showVehicle(vehicle) : "",
      mechanic: firstName(mechanic ?? ""),
      day: showDayIn(language, startsAt, zone),
      time: showTimeIn(language, startsAt, zone),
      ...(minutes === undefined ? {} : { minutes: String(minutes) }),
    };
    const about = { workOrderId, customerId, visitId };
    queued += await tellCustomer(deps, scope, { kind, key: `${key}/${customerId}`, told, about, values }, transaction);
  }
  return queued;
}

/** Whether a moment is so near that telling of it still helps. @param hours - back at most. */
export function isFresh(instant: string, now: Date, hours: number): boolean {
  return inZone(instant, "utc").plus({ hours }).toMillis() > now.getTime();
}
