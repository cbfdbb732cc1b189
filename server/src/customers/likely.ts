import { LIKENESSES, likenesses, showVehicle, streetKey, wordsOf, type Compared, type Likeness } from "@mechanon/core";
import type { LikelySame } from "@mechanon/contract";
import { Op, QueryTypes, type Sequelize, type Transaction } from "sequelize";
import { CustomerRow } from "./model";
import { VehicleRow } from "../vehicles/model";
import type { Scope } from "../scope";
import { toCustomer } from "./toCustomer";

const MOST_COMPARED = 200;
const MOST_TOLD = 5;

type Typed = Partial<Compared> & { id?: string };

/** Customers who may be the one being typed, the surest first, with why and their cars. */
export async function likelyCustomers(
  db: Sequelize,
  { businessId }: Pick<Scope, "businessId">,
  typed: Typed,
  transaction?: Transaction,
): Promise<LikelySame[]> {
  const draft: Compared = {
    name: "",
    phones: [],
    emails: [],
    contacts: [],
    serviceAddresses: [],
    billingAddress: null,
    ...typed,
  };
  const ids = (await candidates(db, businessId, draft, transaction)).filter((id) => id !== typed.id);
  const rows = await CustomerRow.findAll({ where: { businessId, id: ids, erasedAt: null }, transaction });
  const alike = rows
    .map((row) => ({ row, why: likenesses(draft, { name: row.name, ...row.details }) }))
    .filter(({ why }) => why.length > 0)
    .sort((a, b) => rank(a.why) - rank(b.why) || b.why.length - a.why.length)
    .slice(0, MOST_TOLD);
  const cars = await VehicleRow.findAll({
    where: { businessId, customerId: { [Op.in]: alike.map(({ row }) => row.id) } },
    order: ["id"],
    transaction,
  });
  return alike.map(({ row, why }) => ({
    customer: toCustomer(row),
    likenesses: why,
    cars: cars.filter(({ customerId }) => customerId === row.id).map((car) => showVehicle(car)),
  }));
}

/** Ids of all customers who have a phone, an email, a street or the longest word of the name in common with somebody typed. */
async function candidates(
  db: Sequelize,
  businessId: string,
  draft: Compared,
  transaction?: Transaction,
): Promise<string[]> {
  const rows = await db.query<{ customer_id: string }>(
    `select distinct customer_id from (
       ${BY_REACH}
       union all select customer_id from unnest($4::text[]) street cross join lateral (
         select customer_id from customer_keys where business_id = $1 and kind = 'street' and key = street limit ${MOST_COMPARED}) at_street
       union all select customer_id from unnest($5::text[]) named cross join lateral (
         select customer_id from customer_words where business_id = $1 and word = named and field = 0
         order by customer_id desc limit ${MOST_COMPARED}) by_name) found`,
    {
      bind: [businessId, phonesOf([draft]), emailsOf([draft]), streetsOf(draft), longestWords(draft)],
      type: QueryTypes.SELECT,
      transaction,
    },
  );
  return rows.map(({ customer_id: id }) => id);
}

/**
 * Ids of all customers who are surely one of these: a phone or an email in common, or the street with the longest word
 * of the name. A file brings hundreds at once, so a street or a name alone would bring half the town.
 */
export async function sureCandidates(
  db: Sequelize,
  businessId: string,
  drafts: readonly Compared[],
): Promise<string[]> {
  const houses = drafts.flatMap((draft) =>
    streetsOf(draft).flatMap((street) => longestWords(draft).map((named) => ({ street, named }))),
  );
  const rows = await db.query<{ customer_id: string }>(
    `select distinct customer_id from (
       ${BY_REACH}
       union all select at_street.customer_id from unnest($4::text[], $5::text[]) as house(street, named)
       cross join lateral (
         select customer_keys.customer_id from customer_keys where business_id = $1 and kind = 'street' and key = house.street
         and exists (select from customer_words where business_id = $1 and customer_id = customer_keys.customer_id and word = house.named and field = 0)
         limit ${MOST_TOLD}) at_street) found`,
    {
      bind: [
        businessId,
        phonesOf(drafts),
        emailsOf(drafts),
        houses.map(({ street }) => street),
        houses.map(({ named }) => named),
      ],
      type: QueryTypes.SELECT,
    },
  );
  return rows.map(({ customer_id: id }) => id);
}

const BY_REACH = `select customer_id from customer_keys where business_id = $1 and
  (kind = 'phone' and key = any($2) or kind = 'email' and key = any($3))`;

function phonesOf(drafts: readonly Compared[]): string[] {
  const numbers = drafts.flatMap(({ phones, contacts }) => [
    ...phones.map(({ number }) => number),
    ...contacts.flatMap(({ phone }) => phone?.number ?? []),
  ]);
  return unique(numbers.map((number) => number.replace(/\D/g, "")));
}

function emailsOf(drafts: readonly Compared[]): string[] {
  const addresses = drafts.flatMap(({ emails, contacts }) => [
    ...emails.map(({ address }) => address),
    ...contacts.flatMap(({ email }) => email ?? []),
  ]);
  return unique(addresses.map((address) => address.toLowerCase()));
}

function streetsOf({ serviceAddresses, billingAddress }: Compared): string[] {
  const streets = [...serviceAddresses.map(({ place }) => place.street), billingAddress?.street ?? ""];
  return unique(streets.map(streetKey)).filter((key) => key !== "");
}

/** Of a name its longest word is the rarest; likeness is decided on the whole. */
function longestWords({ name }: Compared): string[] {
  return wordsOf(name)
    .sort((a, b) => b.length - a.length)
    .slice(0, 1);
}

function rank(why: readonly Likeness[]): number {
  return Math.min(...why.map((each) => LIKENESSES.indexOf(each)));
}

function unique(values: readonly string[]): string[] {
  return [...new Set(values)];
}
