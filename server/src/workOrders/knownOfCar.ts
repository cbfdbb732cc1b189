import {
  checkedBefore,
  dayOf,
  orderBefore,
  pointById,
  standingUnsafe,
  upgradeWorkOrder,
  type BusinessSettings,
} from "@mechanon/core";
import type { KnownOfCar } from "@mechanon/contract";

/** So many of a car's work orders tell how it wears. */
const MOST_ORDERS = 24;

/** What of a car's other work orders tells how it was found there, the newest first. */
export function ordersBeforeJson(businessId: string, vehicleId: string, workOrderId: string): string {
  return `(select coalesce(json_agg(told.told), '[]') from (
       select jsonb_build_object('odometerMiles', o.state->'odometerMiles', 'findings', o.state->'findings',
         'sheets', (select jsonb_agg(jsonb_build_object('sheetId', s->'sheetId', 'closedAt', s->'closedAt'))
           from jsonb_array_elements(o.state->'sheets') s),
         'pictures', o.state->'pictures') as told
       from work_orders o where o.business_id = ${businessId} and o.vehicle_id = ${vehicleId} and o.id <> ${workOrderId}
       order by o.opened_at desc limit ${MOST_ORDERS}) told)`;
}

/** What of a car's other work orders is read for what is known of it; one column, so that a view stays one statement. */
export function knownOfCarJson(businessId: string, vehicleId: string, workOrderId: string): string {
  return `(select json_build_object(
    'visits', (select count(distinct link.visit_id)::int from work_orders o
       join visit_work_orders link on link.business_id = o.business_id and link.work_order_id = o.id
       join visits visit on visit.business_id = link.business_id and visit.id = link.visit_id
       where o.business_id = ${businessId} and o.vehicle_id = ${vehicleId} and o.id <> ${workOrderId}
         and visit.state->>'leftAt' is not null),
    'orders', ${ordersBeforeJson(businessId, vehicleId, workOrderId)},
    'open', (select coalesce(json_agg(json_build_object('number', o.number, 'state', o.state)), '[]') from (
       select o.number, o.state from work_orders o
       where o.business_id = ${businessId} and o.vehicle_id = ${vehicleId} and o.id <> ${workOrderId}
         and (o.state->'findings' @> '[{"grade":"unsafe"}]' or jsonb_typeof(o.state->'apart') = 'object')
       order by o.opened_at desc limit ${MOST_ORDERS}) o)))`;
}

/** As the database tells it. */
export interface KnownOfCarRow {
  visits: number;
  orders: unknown[];
  open: { number: number; state: Readonly<Record<string, unknown>> }[];
}

/**
 * What is known of a car from its other work orders.
 *
 * @param points - the owner's, for what is unsafe since before there were sheets.
 */
export function knownOfCar(
  { visits, orders, open }: KnownOfCarRow,
  timeZone: string,
  points: BusinessSettings["inspection"],
): KnownOfCar {
  const read = open.map(({ number, state }) => ({ number, state: upgradeWorkOrder(state) }));
  return {
    visits,
    ...checkedBefore(
      orders.map((order) => orderBefore.parse(order)),
      (instant) => dayOf(instant, timeZone),
    ),
    unsafe: read.flatMap(({ number, state }) =>
      standingUnsafe(state).map(({ finding: { pointId, at }, isTold }) => ({
        ...{ workOrderId: state.id, number, pointId, at, isTold },
        title: pointById(pointId, state, points)?.title ?? pointId,
      })),
    ),
    apart: read.flatMap(({ number, state: { id, apart } }) =>
      apart === null
        ? []
        : [
            {
              ...{ workOrderId: id, number, isOff: apart.isOff, partsLie: apart.partsLie },
              ...{ isDrivable: apart.isDrivable, toldTo: apart.toldTo, at: apart.at },
            },
          ],
    ),
  };
}
