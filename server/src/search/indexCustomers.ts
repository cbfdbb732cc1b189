import {
  WORD_FIELDS,
  searchTerms,
  shapesOf,
  soundKeys,
  type CustomerDetails,
  type SearchTerms,
  type SearchedCustomer,
} from "@mechanon/core";
import { Op, QueryTypes, type Sequelize, type Transaction } from "sequelize";
import { CustomerRow } from "../customers/model";
import { VehiclePersonRow, VehicleRow } from "../vehicles/model";
import { latinOf } from "./latin";

/** Counted up when words or keys are read in another way: what was written before is written anew at the start. */
export const SEARCH_VERSION = 4;
const BATCH = 500;

/** Writes what customers are found by, in the transaction that changed them; merged, erased and deleted ones are found by nothing. */
export async function indexCustomers(
  db: Sequelize,
  businessId: string,
  customerIds: readonly string[],
  transaction: Transaction,
): Promise<void> {
  const ids = [...new Set(customerIds)];
  // Locked, so that two changes at once do not both write the words of what they saw; not their keys, which others'
  // rows that name them hold on to already.
  const customers = await CustomerRow.findAll({
    where: { businessId, id: ids },
    order: ["id"],
    lock: transaction.LOCK.NO_KEY_UPDATE,
    transaction,
    raw: true,
  });
  // Who drives a car is found by it, too.
  const driven = await VehiclePersonRow.findAll({ where: { businessId, customerId: ids }, transaction, raw: true });
  const vehicles = await VehicleRow.findAll({
    attributes: ["id", "customerId", "vin", "plateKey", "make", "model", "color", "unitNumber", "nickname"],
    where: { businessId, [Op.or]: [{ customerId: ids }, { id: driven.map(({ vehicleId }) => vehicleId) }] },
    transaction,
    raw: true,
  });
  const carsOf = new Map<string, Set<VehicleRow>>(ids.map((id) => [id, new Set()]));
  const carOf = new Map(vehicles.map((car) => [car.id, car]));
  for (const car of vehicles) carsOf.get(car.customerId)?.add(car);
  for (const { customerId, vehicleId } of driven) {
    const car = carOf.get(vehicleId);
    if (car) carsOf.get(customerId)?.add(car);
  }
  for (const table of ["customer_words", "customer_keys"])
    await db.query(`delete from ${table} where business_id = $1 and customer_id = any($2)`, {
      bind: [businessId, ids],
      transaction,
    });
  const terms = customers
    .filter(({ mergedInto, erasedAt }) => !mergedInto && !erasedAt)
    .map(({ id, kind, name, details }) => ({
      id,
      ...searchTerms({ kind, name, alsoNamed: alsoNamed(name, details), ...details }, [...(carsOf.get(id) ?? [])]),
    }));
  await writeTerms(db, businessId, terms, transaction);
  await db.query("update customers set search_version = $3 where business_id = $1 and id = any($2)", {
    bind: [businessId, ids, SEARCH_VERSION],
    transaction,
  });
}

/** Names of other scripts in Latin letters. */
function alsoNamed(name: string, { contacts, knownFrom }: CustomerDetails): SearchedCustomer["alsoNamed"] {
  return {
    name: [latinOf(name) ?? ""],
    contacts: [knownFrom, ...contacts.map((contact) => contact.name)].map((text) => latinOf(text) ?? ""),
  };
}

/** Appends the terms of customers that have none yet. */
async function writeTerms(
  db: Sequelize,
  businessId: string,
  terms: readonly ({ id: string } & SearchTerms)[],
  transaction: Transaction,
): Promise<void> {
  const words = terms.flatMap(({ id, words: own }) => own.map(({ word, field }) => ({ id, word, field })));
  const keys = terms.flatMap(({ id, keys: own }) => own.map((key) => ({ id, ...key })));
  // In one order, so that two writers with words in common wait for each other instead of forever.
  const distinct = [...new Set(words.map(({ word }) => word))].sort();
  const fresh = await db.query<{ word: string }>(
    `insert into search_words (business_id, word) select $1, word from unnest($2::text[]) word
     on conflict do nothing returning word`,
    { bind: [businessId, distinct], transaction, type: QueryTypes.SELECT },
  );
  // Names are also looked up by how they sound; those of before have no such shape yet.
  const named = new Set(words.filter(({ field }) => field === "name" || field === "contact").map(({ word }) => word));
  const shapes = [
    ...fresh.flatMap(({ word }) => shapesOf(word).map((shape) => ({ shape, word }))),
    ...[...named].sort().flatMap((word) => soundKeys(word).map((shape) => ({ shape, word }))),
  ];
  await db.query(
    `insert into search_word_shapes (business_id, shape, word) select $1, * from unnest($2::text[], $3::text[])
     on conflict do nothing`,
    { bind: [businessId, shapes.map(({ shape }) => shape), shapes.map(({ word }) => word)], transaction },
  );
  await db.query(
    `insert into customer_words (business_id, word, field, customer_id)
     select $1, * from unnest($2::text[], $3::smallint[], $4::uuid[])`,
    {
      bind: [
        businessId,
        words.map(({ word }) => word),
        words.map(({ field }) => WORD_FIELDS.indexOf(field)),
        words.map(({ id }) => id),
      ],
      transaction,
    },
  );
  await db.query(
    `insert into customer_keys (business_id, kind, key, customer_id, vehicle_id)
     select $1, * from unnest($2::text[], $3::text[], $4::uuid[], $5::uuid[])`,
    {
      bind: [
        businessId,
        keys.map(({ kind }) => kind),
        keys.map(({ key }) => key),
        keys.map(({ id }) => id),
        keys.map(({ vehicleId }) => vehicleId),
      ],
      transaction,
    },
  );
}

/** Brings what was written by an older reading of one business up to date. */
export async function indexOutdated(db: Sequelize, businessId: string): Promise<void> {
  for (;;) {
    const outdated = await db.query<{ id: string }>(
      "select id from customers where business_id = $1 and search_version < $2 order by id limit $3",
      { bind: [businessId, SEARCH_VERSION, BATCH], type: QueryTypes.SELECT },
    );
    if (outdated.length === 0) return;
    const ids = outdated.map(({ id }) => id);
    await db.transaction((transaction) => indexCustomers(db, businessId, ids, transaction));
  }
}

/** Businesses with customers that an older reading wrote; asked as the owner of the tables. */
export async function businessesOutdated(owner: Sequelize): Promise<string[]> {
  const rows = await owner.query<{ business_id: string }>(
    "select distinct business_id from customers where search_version < $1",
    { bind: [SEARCH_VERSION], type: QueryTypes.SELECT },
  );
  return rows.map(({ business_id: businessId }) => businessId);
}
