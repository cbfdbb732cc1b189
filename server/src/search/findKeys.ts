import { isOneEditAway, LOCAL_PHONE_DIGITS, type KeyKind, type SearchQuery } from "@mechanon/core";
import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";

export interface FoundKey {
  customerId: string;
  vehicleId: string | null;
  kind: KeyKind;
  fit: number;
}

/** A whole key says more than a whole word, its last four signs, which people read out, more than another end or its beginning. */
export const FITS = { whole: 60, lastSigns: 50, end: 45, beginning: 35, near: 12 } as const;
const LAST_SIGNS = 4;
const MOST_EACH = 20;
const MOST_NEAR_READ = 400;
const FEWEST = { beginning: 3, end: 4, endOfPlate: 3, near: 6 } as const;

/** One way to look at the keys. */
interface Look {
  kind: KeyKind;
  key: string;
  way: "beginning" | "end";
}

/** Customers by phone, email, plate or VIN: the whole, its beginning, or its end; failing all, with one wrong sign. */
export async function findKeys(db: Sequelize, businessId: string, query: SearchQuery): Promise<FoundKey[]> {
  const looks = looksOf(query);
  if (looks.length === 0) return [];
  const found = await look(db, businessId, looks, MOST_EACH);
  if (found.length > 0)
    return found.map(({ key, look: { key: typed, way }, ...hit }) => ({
      ...hit,
      fit: key === typed ? FITS.whole : way === "end" && typed.length === LAST_SIGNS ? FITS.lastSigns : FITS[way],
    }));
  return findNear(db, businessId, query);
}

function looksOf({ phones, plate, vin, email }: SearchQuery): Look[] {
  const looks: Look[] = [];
  const add = (kind: KeyKind, key: string, fewestAtEnd: number): void => {
    if (key.length >= FEWEST.beginning) looks.push({ kind, key, way: "beginning" });
    if (key.length >= fewestAtEnd) looks.push({ kind, key, way: "end" });
  };
  for (const digits of phones) add("phone", digits, FEWEST.end);
  if (plate !== null) add("plate", plate, FEWEST.endOfPlate);
  if (vin !== null) add("vin", vin, FEWEST.end);
  if (email !== null) add("email", email, FEWEST.end);
  return looks;
}

async function look(
  db: Sequelize,
  businessId: string,
  looks: Look[],
  limit: number,
): Promise<(Omit<FoundKey, "fit"> & { key: string; look: Look })[]> {
  const values: unknown[] = [businessId];
  const bound = (value: unknown): string => `$${values.push(value)}`;
  const selects = looks.map(({ kind, key, way }, index) => {
    const at = way === "end" ? `(reverse(key) collate "C")` : "key";
    const front = way === "end" ? [...key].reverse().join("") : key;
    const [from, to] = [bound(front), bound(`${front}\u{10FFFF}`)];
    return `(select ${index} as look, kind, key, customer_id, vehicle_id from own_customer_keys
      where business_id = $1 and kind = ${bound(kind)} and ${at} >= ${from} and ${at} < ${to} order by ${at} limit ${limit})`;
  });
  const rows = await askPrepared<{
    look: number;
    kind: KeyKind;
    key: string;
    customer_id: string;
    vehicle_id: string | null;
  }>(db, selects.join(" union all "), values);
  return rows.flatMap(({ look: index, kind, key, customer_id: customerId, vehicle_id: vehicleId }) => {
    const asked = looks[index];
    return asked ? [{ kind, key, customerId, vehicleId, look: asked }] : [];
  });
}

/** With one sign wrong, missing or added, either the front or the back of a key is still right: those are read and compared. */
async function findNear(db: Sequelize, businessId: string, query: SearchQuery): Promise<FoundKey[]> {
  const typed: { kind: KeyKind; key: string }[] = [
    ...query.phones
      .filter((digits) => digits.length >= LOCAL_PHONE_DIGITS)
      .map((key) => ({ kind: "phone" as const, key })),
    ...(query.plate !== null ? [{ kind: "plate" as const, key: query.plate }] : []),
    ...(query.vin !== null ? [{ kind: "vin" as const, key: query.vin }] : []),
    ...(query.email !== null ? [{ kind: "email" as const, key: query.email }] : []),
  ].filter(({ key }) => key.length >= FEWEST.near);
  const looks = typed.flatMap(({ kind, key }): Look[] => {
    const half = Math.floor(key.length / 2);
    // Only what is swapped across the middle spoils both halves.
    const swapped = key.slice(0, half - 1) + (key[half] ?? "") + (key[half - 1] ?? "") + key.slice(half + 1);
    return [
      { kind, key: key.slice(0, half), way: "beginning" },
      { kind, key: key.slice(-half), way: "end" },
      { kind, key: swapped, way: "beginning" },
    ];
  });
  if (looks.length === 0) return [];
  const near = await look(db, businessId, looks, MOST_NEAR_READ);
  return near
    .filter(({ kind, key }) => typed.some((each) => each.kind === kind && isOneEditAway(each.key, key)))
    .map(({ customerId, vehicleId, kind }) => ({ customerId, vehicleId, kind, fit: FITS.near }));
}
