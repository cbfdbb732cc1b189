import type { CustomerDetails, CustomerKind } from "@mechanon/core";
import type { Sequelize, Transaction } from "sequelize";

export interface NewVehicle {
  id: string;
  vin: string | null;
  vinNote: string | null;
  plate: string | null;
  plateKey: string | null;
  region: string | null;
  year: number | null;
  make: string | null;
  model: string | null;
  color: string | null;
  unitNumber: string | null;
}
export interface CustomerToInsert {
  id: string;
  kind: CustomerKind;
  name: string;
  details: CustomerDetails;
  vehicles: NewVehicle[];
}

/** Keeps many new customers with their cars at once; they have to be indexed after it to be found. */
export async function insertCustomers(
  db: Sequelize,
  businessId: string,
  customers: readonly CustomerToInsert[],
  transaction: Transaction,
): Promise<void> {
  await db.query(
    `insert into customers (business_id, id, kind, name, details)
     select $1, * from unnest($2::uuid[], $3::text[], $4::text[], $5::jsonb[])`,
    {
      bind: [
        businessId,
        customers.map(({ id }) => id),
        customers.map(({ kind }) => kind),
        customers.map(({ name }) => name),
        customers.map(({ details }) => JSON.stringify(details)),
      ],
      transaction,
    },
  );
  await insertVehicles(
    db,
    businessId,
    customers.flatMap(({ id: customerId, vehicles }) => vehicles.map((vehicle) => ({ ...vehicle, customerId }))),
    transaction,
  );
}

/** Keeps many new cars at once; their owners have to be indexed after it. */
export async function insertVehicles(
  db: Sequelize,
  businessId: string,
  vehicles: readonly (NewVehicle & { customerId: string })[],
  transaction: Transaction,
): Promise<void> {
  const records = vehicles.map(({ customerId, plateKey, unitNumber, vinNote, ...vehicle }) => ({
    ...vehicle,
    unit_number: unitNumber,
    vin_note: vinNote,
    customer_id: customerId,
    plate_key: plateKey,
  }));
  await db.query(
    `insert into vehicles (business_id, id, customer_id, vin, vin_note, plate, plate_key, region, year, make, model, color, unit_number)
     select $1, id, customer_id, vin, vin_note, plate, plate_key, region, year, make, model, color, unit_number
     from jsonb_to_recordset($2::jsonb) as car(id uuid, customer_id uuid, vin text, vin_note text, plate text, plate_key text, region text, year int, make text, model text, color text, unit_number text)`,
    { bind: [businessId, JSON.stringify(records)], transaction },
  );
}
