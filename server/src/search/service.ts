import {
  matchMarks,
  readSearch,
  showPhone,
  showPlace,
  showVehicle,
  type CustomerDetails,
  type CustomerKind,
  type SearchQuery,
} from "@mechanon/core";
import type { Found, FoundCustomer, Vehicle } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import type { WorkOrderRow } from "../workOrders/model";
import type { Scope } from "../scope";
import { listWorkOrders } from "../workOrders/summaries";
import { FITS, findKeys } from "./findKeys";
import { byCodeAndWords } from "./byCodeAndWords";
import { customersByOtherWords, customersByWords, type FoundWithout } from "./customersByWords";
import { MOST_CUSTOMERS } from "./scored";

/** A fleet's cars are counted, and the first of them shown. */
const MOST_CARS_SHOWN = 6;
const MOST_OPEN_SHOWN = 3;
/**
 * Customers with cars and open work by any part of any name, phone, plate, VIN, email or street, best first, and the
 * work order of a number. One wrong or swapped letter still finds.
 */
export async function search(db: Sequelize, scope: Scope, typed: string): Promise<Found> {
  const query = readSearch(typed);
  const [byWords, byWholeKey, workOrders] = await Promise.all([
    customersByWords(db, scope.businessId, query.words),
    findKeys(db, scope.businessId, query),
    query.number === null ? [] : listWorkOrders(db, scope, "ofNumber", query.number, { most: 1 }),
  ]);
  const isNobody = byWords.length === 0 && byWholeKey.length === 0;
  const byKeys = isNobody && query.mixed ? await byCodeAndWords(db, scope.businessId, query.mixed) : byWholeKey;
  const others = isNobody && byKeys.length === 0 ? await withoutOdd(db, scope.businessId, query) : NOTHING_ODD;
  const scores = new Map<string, number>([...byWords, ...others.customers]);
  for (const { customerId, fit } of byKeys) scores.set(customerId, Math.max(scores.get(customerId) ?? 0, fit));
  const best = [...scores].sort(([a, one], [b, other]) => other - one || (a < b ? 1 : -1)).slice(0, MOST_CUSTOMERS);
  const customers = await atAGlance(
    db,
    scope,
    best.map(([id]) => id),
    byKeys.flatMap(({ vehicleId }) => vehicleId ?? []),
    query,
  );
  const near = new Set(byKeys.filter(({ fit }) => fit === FITS.near).map(({ customerId }) => customerId));
  return {
    customers: customers.map((each) => ({ ...each, isNear: near.has(each.customer.id) })),
    workOrders,
    oddWords: others.oddWords,
  };
}

const NOTHING_ODD: FoundWithout = { customers: [], oddWords: [] };

/** What fits all of what was typed but one word; of a whole code with words, the code alone where they fit nobody of it. */
async function withoutOdd(db: Sequelize, businessId: string, query: SearchQuery): Promise<FoundWithout> {
  if (query.mixed) {
    const byCode = await findKeys(db, businessId, query.mixed.code);
    const exact = byCode.filter(({ fit }) => fit === FITS.whole);
    if (exact.length > 0)
      return { customers: exact.map(({ customerId, fit }) => [customerId, fit]), oddWords: query.mixed.words };
  }
  return customersByOtherWords(db, businessId, query.words);
}

interface Glanced {
  id: string;
  kind: CustomerKind;
  name: string;
  details: CustomerDetails;
  vehicle_count: number;
  vehicles: Vehicle[];
  open_work: (Pick<WorkOrderRow, "id" | "number" | "waitsFor" | "dueCents"> &
    Pick<Vehicle, "year" | "make" | "model">)[];
}

/** In one query, since a list is asked for with every letter typed. */
const GLANCE = `
  select c.id, c.kind, c.name, c.details,
    (select count(*)::int from vehicles where business_id = $1 and customer_id = c.id)
      + (select count(*)::int from vehicle_people where business_id = $1 and customer_id = c.id) as vehicle_count,
    (select coalesce(jsonb_agg(car), '[]') from (
      select id, customer_id as "customerId", vin, plate, region, year, make, model, trim, engine, drive, color, version,
        vin_note as "vinNote", transmission, unit_number as "unitNumber", nickname, photo_id as "photoId"
      from vehicles where business_id = $1 and (customer_id = c.id or id = any(array(
        select vehicle_id from vehicle_people where business_id = $1 and vehicle_people.customer_id = c.id)))
      order by id = any($3::uuid[]) desc, id limit ${MOST_CARS_SHOWN}) car) as vehicles,
    (select coalesce(jsonb_agg(work), '[]') from (
      select o.id, o.number, o.waits_for as "waitsFor", o.due_cents as "dueCents", v.year, v.make, v.model
      from work_orders o left join vehicles v on v.business_id = $1 and v.id = o.vehicle_id
      where o.business_id = $1 and o.customer_id = c.id and o.waits_for is not null
      order by o.opened_at desc limit ${MOST_OPEN_SHOWN}) work) as open_work
  from customers c where c.business_id = $1 and c.id = any($2::uuid[])`;

/** What a line of the list says of each customer, in the order given; cars that were searched for before all others. */
async function atAGlance(
  db: Sequelize,
  { businessId }: Scope,
  ids: string[],
  searchedCarIds: string[],
  query: SearchQuery,
): Promise<FoundCustomer[]> {
  if (ids.length === 0) return [];
  const rows = await askPrepared<Glanced>(db, GLANCE, [businessId, ids, searchedCarIds]);
  const byId = new Map(rows.map((row) => [row.id, row]));
  return ids.flatMap((id) => {
    const row = byId.get(id);
    if (!row) return [];
    const { kind, name, details, vehicles } = row;
    const { knownFrom, phones, serviceAddresses, billingAddress } = details;
    return [
      {
        customer: { id, kind, name, knownFrom, phones, serviceAddresses, billingAddress },
        vehicles,
        vehicleCount: row.vehicle_count,
        openWork: row.open_work.map(({ year, make, model, ...work }) => ({
          ...work,
          vehicleName: showVehicle({ year, make, model }),
        })),
        foundBy: foundBy(query, details, vehicles),
        isNear: false,
      },
    ];
  });
}

/** What matched of a customer beyond the line's own name, phone, cars and plates. */
function foundBy(
  query: SearchQuery,
  customer: CustomerDetails,
  vehicles: FoundCustomer["vehicles"],
): FoundCustomer["foundBy"] {
  const candidates: FoundCustomer["foundBy"] = [
    ...customer.contacts.map(({ name, role }) => ({
      what: "contact" as const,
      text: role ? `${name}, ${role}` : name,
    })),
    ...[...customer.phones.slice(1), ...customer.contacts.flatMap(({ phone }) => (phone ? [phone] : []))].map(
      ({ number, extension }) => ({ what: "phone" as const, text: showPhone(number, extension) }),
    ),
    ...[...customer.emails.map(({ address }) => address), ...customer.contacts.flatMap(({ email }) => email ?? [])].map(
      (text) => ({ what: "email" as const, text }),
    ),
    ...[
      ...customer.serviceAddresses.map(({ place }) => place),
      ...(customer.billingAddress ? [customer.billingAddress] : []),
    ].map((place) => ({ what: "street" as const, text: showPlace(place) })),
    ...vehicles.flatMap(({ vin }) => (vin === null ? [] : [{ what: "vin" as const, text: vin }])),
  ];
  return candidates.filter(({ text }) => matchMarks(query, text).length > 0).slice(0, 2);
}
