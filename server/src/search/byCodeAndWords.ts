import { isNearMiss, type SearchQuery } from "@mechanon/core";
import { QueryTypes, type Sequelize } from "sequelize";
import { customersByWords } from "./customersByWords";
import { findKeys, type FoundKey } from "./findKeys";

type Mixed = NonNullable<SearchQuery["mixed"]>;
type Found = Pick<FoundKey, "customerId" | "vehicleId" | "fit">;

const isModelYear = ({ number }: SearchQuery): boolean => number !== null && number >= 1900 && number < 2100;

/** What of a customer is no word of its own for being everybody's: states of plates and places. */
const OWN_WORDS = `
  select word from customer_words where business_id = $1 and customer_id = c.id
  union select lower(region) from vehicles where business_id = $1 and customer_id = c.id and region is not null
  union select lower(place->'place'->>'region') from jsonb_array_elements(c.details->'serviceAddresses') place`;

/** Customers by a phone, plate, VIN or model year who also have every word that was typed with it. */
export async function byCodeAndWords(db: Sequelize, businessId: string, mixed: Mixed): Promise<Found[]> {
  const found = await byKeyAndWords(db, businessId, mixed);
  return found.length === 0 && isModelYear(mixed.code) ? byYearAndWords(db, businessId, mixed) : found;
}

async function byKeyAndWords(db: Sequelize, businessId: string, { code, words }: Mixed): Promise<Found[]> {
  const found = await findKeys(db, businessId, code);
  if (found.length === 0) return [];
  const rows = await db.query<{ id: string; words: string[] }>(
    `select c.id, array(${OWN_WORDS}) as words from customers c where c.business_id = $1 and c.id = any($2::uuid[])`,
    { bind: [businessId, found.map(({ customerId }) => customerId)], type: QueryTypes.SELECT },
  );
  const wordsOf = new Map(rows.map((row) => [row.id, row.words]));
  return found.filter(({ customerId }) =>
    words.every((typed) => wordsOf.get(customerId)?.some((own) => own.startsWith(typed) || isNearMiss(typed, own))),
  );
}

async function byYearAndWords(db: Sequelize, businessId: string, { code, words }: Mixed): Promise<Found[]> {
  const fitOf = new Map(await customersByWords(db, businessId, words));
  const cars = await db.query<{ id: string; customer_id: string }>(
    "select id, customer_id from vehicles where business_id = $1 and customer_id = any($2::uuid[]) and year = $3",
    { bind: [businessId, [...fitOf.keys()], code.number], type: QueryTypes.SELECT },
  );
  return cars.map(({ id, customer_id: customerId }) => ({
    customerId,
    vehicleId: id,
    fit: fitOf.get(customerId) ?? 0,
  }));
}
