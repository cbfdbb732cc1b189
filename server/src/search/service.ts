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
import { QueryTypes, type Sequelize } from "sequelize";
import type { WorkOrderRow } from "../db/models";
import type { Scope } from "../scope";
import { listWorkOrders } from "../workOrders/summaries";
import { findKeys } from "./findKeys";
import { WHOLE_WORD, findWords, type FittingWord } from "./findWords";

const MOST_CUSTOMERS = 20;
/** A fleet's cars are counted, and the first of them shown. */
const MOST_CARS_SHOWN = 6;
const MOST_OPEN_SHOWN = 3;
/** Of one word's customers, the newest come into question. */
const MOST_PER_WORD = 20;
const FIELD_WEIGHT = 2;
/** Of the customers of the rarest of several words, those with exactly that word are all looked at, others so many. */
const MOST_WITH_WHOLE_WORD = 5000;
const MOST_COMPARED = 250;

/**
 * Customers with cars and open work by any part of any name, phone, plate, VIN, email or street, best first, and the
 * work order of a number. One wrong or swapped letter still finds.
 */
export async function search(db: Sequelize, scope: Scope, typed: string): Promise<Found> {
  const query = readSearch(typed);
  const [byWords, byKeys, workOrders] = await Promise.all([
    customersByWords(db, scope.businessId, query.words),
    findKeys(db, scope.businessId, query),
    query.number === null ? [] : listWorkOrders(scope, { number: query.number }),
  ]);
  const scores = new Map<string, number>(byWords);
  for (const { customerId, fit } of byKeys) scores.set(customerId, Math.max(scores.get(customerId) ?? 0, fit));
  const best = [...scores].sort(([a, one], [b, other]) => other - one || (a < b ? 1 : -1)).slice(0, MOST_CUSTOMERS);
  const customers = await atAGlance(
    db,
    scope,
    best.map(([id]) => id),
    byKeys.flatMap(({ vehicleId }) => vehicleId ?? []),
    query,
  );
  return { customers, workOrders };
}

/** Customers who have a fitting word for every typed one, with what that is worth. */
async function customersByWords(db: Sequelize, businessId: string, typed: string[]): Promise<[string, number][]> {
  if (typed.length === 0) return [];
  const fitting = await Promise.all(typed.map((word) => findWords(db, businessId, word)));
  if (fitting.some((words) => words.length === 0)) return [];
  const [first = []] = fitting;
  const rows =
    fitting.length === 1 ? await byOneWord(db, businessId, first) : await byAllWords(db, businessId, fitting);
  return rows.map(({ customer_id: id, score }) => [id, score / fitting.length]);
}

interface Scored {
  customer_id: string;
  score: number;
}

function byOneWord(db: Sequelize, businessId: string, words: FittingWord[]): Promise<Scored[]> {
  return db.query<Scored>(
    `select customer_id, max(fit - field * ${FIELD_WEIGHT})::int as score
     from unnest($2::text[], $3::int[]) as fitting(word, fit)
     cross join lateral (select customer_id, field from customer_words
       where business_id = $1 and word = fitting.word order by field, customer_id desc limit ${MOST_PER_WORD}) found
     group by customer_id order by score desc, customer_id desc limit ${MOST_CUSTOMERS}`,
    { bind: [businessId, words.map(({ word }) => word), words.map(({ fit }) => fit)], type: QueryTypes.SELECT },
  );
}

/**
 * Begins with the customers of the rarest typed word and looks which of them have all others: a first name or a town
 * alone leads to thousands.
 */
async function byAllWords(db: Sequelize, businessId: string, fitting: FittingWord[][]): Promise<Scored[]> {
  const [first = 0] = await byRarity(db, businessId, fitting);
  const all = fitting.flatMap((words, token) => words.map((each) => ({ ...each, token })));
  return db.query<Scored>(
    `with first as materialized (
       (select customer_id from customer_words
         where business_id = $1 and word = any($7::text[]) order by customer_id desc limit ${MOST_WITH_WHOLE_WORD})
       union (
         select found.customer_id from unnest($2::text[]) as typed(word)
         cross join lateral (select customer_id from customer_words
           where business_id = $1 and word = typed.word order by field, customer_id desc limit ${MOST_COMPARED}) found
         limit ${MOST_COMPARED}))
     select customer_id, sum(best)::int as score from (
       select first.customer_id, fitting.token, max(fitting.fit - own.field * ${FIELD_WEIGHT}) as best
       from first cross join lateral (select word, field from customer_words
         -- Kept apart, or the planner reads all customers of a frequent word instead.
         where business_id = $1 and customer_id = first.customer_id offset 0) own
       join unnest($3::int[], $4::text[], $5::int[]) as fitting(token, word, fit) on fitting.word = own.word
       group by 1, 2) matched
     group by 1 having count(*) = $6 order by 2 desc, 1 desc limit ${MOST_CUSTOMERS}`,
    {
      bind: [
        businessId,
        (fitting[first] ?? []).map(({ word }) => word),
        all.map(({ token }) => token),
        all.map(({ word }) => word),
        all.map(({ fit }) => fit),
        fitting.length,
        (fitting[first] ?? []).filter(({ fit }) => fit === WHOLE_WORD).map(({ word }) => word),
      ],
      type: QueryTypes.SELECT,
    },
  );
}

/** The typed words by how many customers they lead to, the fewest first; beyond a limit they are not counted. */
async function byRarity(db: Sequelize, businessId: string, fitting: FittingWord[][]): Promise<number[]> {
  const counts = fitting.map(
    (_, token) =>
      `(select count(*) from (select from customer_words where business_id = $1 and word = any($${token + 2}::text[]) limit ${MOST_COMPARED + 1}) limited)::int as "${token}"`,
  );
  const [row] = await db.query<Record<string, number>>(`select ${counts.join(", ")}`, {
    bind: [businessId, ...fitting.map((words) => words.map(({ word }) => word))],
    type: QueryTypes.SELECT,
  });
  return fitting.map((_, token) => token).sort((a, b) => (row?.[a] ?? 0) - (row?.[b] ?? 0));
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
    (select count(*)::int from vehicles where business_id = $1 and customer_id = c.id) as vehicle_count,
    array(select to_jsonb(car) from (
      select id, customer_id as "customerId", vin, plate, region, year, make, model, trim, engine, drive, color, version
      from vehicles where business_id = $1 and customer_id = c.id
      order by id = any($3::uuid[]) desc, id limit ${MOST_CARS_SHOWN}) car) as vehicles,
    array(select to_jsonb(work) from (
      select o.id, o.number, o.waits_for as "waitsFor", o.due_cents as "dueCents", v.year, v.make, v.model
      from work_orders o join vehicles v on v.business_id = $1 and v.id = o.vehicle_id
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
  const rows = await db.query<Glanced>(GLANCE, { bind: [businessId, ids, searchedCarIds], type: QueryTypes.SELECT });
  const byId = new Map(rows.map((row) => [row.id, row]));
  return ids.flatMap((id) => {
    const row = byId.get(id);
    if (!row) return [];
    const { kind, name, details, vehicles } = row;
    const { phones, serviceAddresses, billingAddress } = details;
    return [
      {
        customer: { id, kind, name, phones, serviceAddresses, billingAddress },
        vehicles,
        vehicleCount: row.vehicle_count,
        openWork: row.open_work.map(({ year, make, model, ...work }) => ({
          ...work,
          vehicleName: showVehicle({ year, make, model }),
        })),
        foundBy: foundBy(query, details, vehicles),
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
