import {
  redactWorkOrder,
  upgradeVisit,
  upgradeWorkOrder,
  type BusinessSettings,
  type WorkOrderState,
} from "@mechanon/core";
import type { Customer, Vehicle, WorkOrderChange, WorkOrderView } from "@mechanon/contract";
import type { Ran } from "../commands/runCommands";
import { findCustomer } from "../customers/service";
import { toCustomer, type CustomerColumns } from "../customers/toCustomer";
import { askPrepared } from "../db/askPrepared";
import { RECEIPT_LINKS_JSON, liveLinks } from "../payments/receiptLinks";
import { MESSAGE_JSON } from "../messages/openMessages";
import type { Deps, Scope } from "../scope";
import { VEHICLE_JSON } from "../vehicles/vehicleColumns";
import { knownOfCar, knownOfCarJson, type KnownOfCarRow } from "./knownOfCar";
import { noWorkOrder } from "./service";

type Stored = Readonly<Record<string, unknown>>;

/** Requests that never reached the other side are told of for a day. */
const LAPSED_SHOWN = "1 day";

/** So many of a car's readings tell what the next one may be. */
const MOST_READINGS = 60;

/** What a car's odometer showed on other work orders, oldest first. */
function odometerBefore(businessId: string, vehicleId: string, workOrderId: string): string {
  return `(select coalesce(json_agg(read.reading order by read.reading->>'at'), '[]') from (
    select json_build_object('miles', (o.state->'odometerMiles'->>'value')::int, 'at', o.state->'odometerMiles'->>'at') as reading
    from work_orders o where o.business_id = ${businessId} and o.vehicle_id = ${vehicleId} and o.id <> ${workOrderId}
      and jsonb_typeof(o.state->'odometerMiles') = 'object'
    order by o.opened_at desc limit ${MOST_READINGS}) read)`;
}

/** Everything a sheet shows, in one statement. */
const VIEW = `
  select w.number, w.revision, w.state,
    case when c.id is not null then json_build_object('id', c.id, 'kind', c.kind, 'name', c.name, 'details', c.details,
      'version', c.version, 'createdAt', iso(c.created_at), 'erasedAt', iso(c.erased_at), 'mergedInto', c.merged_into) end as customer,
    case when v.id is not null then ${VEHICLE_JSON} end as vehicle,
    (select coalesce(json_agg(visit.state order by visit.starts_at), '[]') from visit_work_orders link
       join visits visit on visit.business_id = link.business_id and visit.id = link.visit_id
       where link.business_id = w.business_id and link.work_order_id = w.id) as visits,
    (select coalesce(json_agg(${MESSAGE_JSON} order by m.created_at), '[]')
       from messages m where m.business_id = w.business_id and m.work_order_id = w.id) as messages,
    (select json_build_object('id', r.id, 'words', r.asked->>'words', 'at', iso(r.created_at))
       from requests r where r.business_id = w.business_id and r.work_order_id = w.id) as "askedBefore",
    (select coalesce(json_agg(p.photo_id order by p.arrived_at), '[]') from customer_photos p
       where p.business_id = w.business_id and (p.work_order_id = w.id or p.request_id in
         (select id from requests r where r.business_id = w.business_id and r.work_order_id = w.id))) as "customerPhotoIds",
    (select coalesce(json_agg(json_build_object('id', r.id, 'kind', r.kind, 'status', r.status, 'at', iso(r.asked_at),
       'amountCents', r.amount_cents, 'lineIds', array(select l.line_id from external_request_lines l
         where l.business_id = r.business_id and l.request_id = r.id)) order by r.asked_at), '[]')
       from external_requests r where r.business_id = w.business_id and r.work_order_id = w.id
         and (r.status = 'asked' or r.status = 'lapsed' and r.asked_at > now() - interval '${LAPSED_SHOWN}')) as requests,
    ${odometerBefore("w.business_id", "w.vehicle_id", "w.id")} as "odometerBefore",
    case when w.vehicle_id is not null then ${knownOfCarJson("w.business_id", "w.vehicle_id", "w.id")} end as "carBefore",
    (select iso(max(l.last_opened_at)) from directory.page_links l
       where l.business_id = w.business_id and l.work_order_id = w.id) as "pageOpenedAt",
    ${RECEIPT_LINKS_JSON} as "receiptLinks"
  from work_orders w
  left join customers c on c.business_id = w.business_id and c.id = w.customer_id
  left join vehicles v on v.business_id = w.business_id and v.id = w.vehicle_id
  where w.business_id = $1 and w.id = $2`;

interface ViewRow extends Pick<
  WorkOrderView,
  "number" | "revision" | "messages" | "requests" | "vehicle" | "askedBefore" | "customerPhotoIds" | "pageOpenedAt"
> {
  state: Stored;
  customer: (CustomerColumns & { mergedInto: string | null }) | null;
  receiptLinks: { sentTo: string; at: string }[];
  visits: Stored[];
  odometerBefore: WorkOrderView["odometerBefore"];
  carBefore: KnownOfCarRow | null;
}

/** A work order as this person may see it, with all its sheet shows. @throws {AppError} `work-order/not-found`. */
export async function viewWorkOrder(
  { db, rules }: Pick<Deps, "db" | "rules">,
  scope: Scope,
  id: string,
): Promise<WorkOrderView> {
  const [row] = await askPrepared<ViewRow>(db, VIEW, [scope.businessId, id]);
  if (!row) throw noWorkOrder();
  return {
    number: row.number,
    revision: row.revision,
    state: redactWorkOrder(upgradeWorkOrder(row.state), scope.actor),
    customer: await liveCustomer(scope, row.customer),
    vehicle: row.vehicle,
    visits: row.visits.map(upgradeVisit),
    messages: row.messages,
    askedBefore: row.askedBefore,
    customerPhotoIds: row.customerPhotoIds,
    requests: row.requests,
    odometerBefore: row.odometerBefore,
    carBefore:
      row.carBefore &&
      knownOfCar(
        row.carBefore,
        scope.timeZone,
        row.carBefore.open.length === 0 ? [] : await pointsOf(rules, scope.businessId),
      ),
    pageOpenedAt: row.pageOpenedAt,
    receiptLinks: row.receiptLinks.length === 0 ? [] : await openLinks(rules, scope, row.receiptLinks),
  };
}

/** Only where something is not safe its point's name is asked for. */
async function pointsOf(rules: Deps["rules"], businessId: string): Promise<BusinessSettings["inspection"]> {
  return (await rules.now(businessId)).settings.inspection;
}

async function openLinks(
  rules: Deps["rules"],
  { businessId }: Scope,
  links: ViewRow["receiptLinks"],
): Promise<WorkOrderView["receiptLinks"]> {
  const { settings } = await rules.now(businessId);
  return liveLinks(links, settings.receiptLinkMonths, new Date());
}

async function liveCustomer(scope: Scope, customer: ViewRow["customer"]): Promise<Customer | null> {
  if (customer === null) return null;
  return toCustomer(customer.mergedInto === null ? customer : await findCustomer(scope, customer.mergedInto));
}

const PARTIES = `
  select (select json_build_object('id', c.id, 'kind', c.kind, 'name', c.name, 'details', c.details, 'version', c.version,
      'createdAt', iso(c.created_at), 'erasedAt', iso(c.erased_at)) from customers c where c.business_id = $1 and c.id = $2) as customer,
    (select ${VEHICLE_JSON} from vehicles v where v.business_id = $1 and v.id = $3) as vehicle,
    ${odometerBefore("$1", "$3", "$4")} as "odometerBefore",
    case when $3::uuid is not null then ${knownOfCarJson("$1", "$3", "$4")} end as "carBefore"`;

/** What commands changed of a work order, for a device that has it as it was before; null when nothing was. */
export async function changeOf(
  deps: Pick<Deps, "db" | "rules">,
  scope: Scope,
  { before, after, fromRevision, revision, number }: Ran<WorkOrderState>,
): Promise<WorkOrderChange | null> {
  if (after === null || revision === fromRevision) return null;
  const shown = redactWorkOrder(after, scope.actor);
  const changed = Object.entries(shown).filter(
    ([key]) => before === null || after[key as keyof WorkOrderState] !== before[key as keyof WorkOrderState],
  );
  const isAnothers = after.customerId !== before?.customerId || after.vehicleId !== before.vehicleId;
  return {
    id: after.id,
    number,
    fromRevision,
    revision,
    state: Object.fromEntries(changed),
    parties: isAnothers ? await partiesOf(deps, scope, after) : null,
  };
}

async function partiesOf(
  { db, rules }: Pick<Deps, "db" | "rules">,
  { businessId, timeZone }: Scope,
  { id, customerId, vehicleId }: WorkOrderState,
): Promise<NonNullable<WorkOrderChange["parties"]>> {
  const [row] = await askPrepared<{
    customer: CustomerColumns | null;
    vehicle: Vehicle | null;
    odometerBefore: WorkOrderView["odometerBefore"];
    carBefore: KnownOfCarRow | null;
  }>(db, PARTIES, [businessId, customerId, vehicleId, id]);
  return {
    customer: row?.customer ? toCustomer(row.customer) : null,
    vehicle: row?.vehicle ?? null,
    odometerBefore: row?.odometerBefore ?? [],
    carBefore: row?.carBefore
      ? knownOfCar(row.carBefore, timeZone, row.carBefore.open.length === 0 ? [] : await pointsOf(rules, businessId))
      : null,
  };
}
