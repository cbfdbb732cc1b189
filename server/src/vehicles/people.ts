import type { Vehicle } from "@mechanon/contract";
import { QueryTypes, type Sequelize } from "sequelize";
import { v7 as uuid } from "uuid";
import { findLiveCustomer } from "../customers/service";
import { VehicleMove, VehiclePersonRow } from "./model";
import { AppError } from "../errors/appError";
import type { Scope } from "../scope";
import { indexCustomers } from "../search/indexCustomers";
import { concerned, findVehicle, requireVersion } from "./service";
import { toVehicle } from "./toVehicle";

/**
 * Gives a car to another customer: its history goes along, work orders and bills stay whose they are. Whoever it comes
 * to no longer only drives it.
 * @throws {AppError} `version/changed`, `customer/not-found`, `customer/erased`.
 */
export async function moveVehicle(
  db: Sequelize,
  scope: Scope,
  id: string,
  { customerId, version }: { customerId: string; version: number },
): Promise<Vehicle> {
  const { businessId, actor } = scope;
  return db.transaction(async (transaction) => {
    const row = await findVehicle(scope, id, transaction, "locked");
    const to = await findLiveCustomer(scope, customerId, transaction);
    // A repeated request finds it done.
    if (row.customerId === to.id) return toVehicle(row);
    requireVersion(row, version);
    const from = row.customerId;
    await VehiclePersonRow.destroy({ where: { businessId, vehicleId: id, customerId: to.id }, transaction });
    await VehicleMove.create(
      { businessId, id: uuid(), vehicleId: id, fromCustomerId: from, toCustomerId: to.id, movedBy: actor.id },
      { transaction },
    );
    await row.update({ customerId: to.id, version: version + 1 }, { transaction });
    await indexCustomers(db, businessId, [from, ...(await concerned(businessId, row, transaction))], transaction);
    return toVehicle(row);
  });
}

/**
 * Links somebody who drives a car; again with another role changes it.
 * @throws {AppError} `vehicle/owner-driver` for the owner.
 */
export async function linkPerson(
  db: Sequelize,
  scope: Scope,
  id: string,
  { customerId, role }: { customerId: string; role: string },
): Promise<Vehicle> {
  const { businessId } = scope;
  return db.transaction(async (transaction) => {
    const row = await findVehicle(scope, id, transaction, "locked");
    const person = await findLiveCustomer(scope, customerId, transaction);
    if (person.id === row.customerId)
      throw new AppError("vehicle/owner-driver", "This car belongs to them already. Nothing was changed.");
    await VehiclePersonRow.upsert({ businessId, vehicleId: id, customerId: person.id, role }, { transaction });
    await indexCustomers(db, businessId, [person.id], transaction);
    return toVehicle(row);
  });
}

export async function unlinkPerson(db: Sequelize, scope: Scope, id: string, customerId: string): Promise<Vehicle> {
  const { businessId } = scope;
  return db.transaction(async (transaction) => {
    const row = await findVehicle(scope, id, transaction, "locked");
    await VehiclePersonRow.destroy({ where: { businessId, vehicleId: id, customerId }, transaction });
    await indexCustomers(db, businessId, [customerId], transaction);
    return toVehicle(row);
  });
}

/** Whose a car was, newest first. */
export async function movesOf(
  db: Sequelize,
  businessId: string,
  vehicleId: string,
): Promise<{ at: string; by: string; fromName: string; toName: string }[]> {
  const rows = await db.query<{ at: Date; by: string; fromName: string; toName: string }>(
    `select moved_at as at, people.name as by, a.name as "fromName", b.name as "toName" from vehicle_moves m
     join people on people.business_id = $1 and people.id = m.moved_by
     join customers a on a.business_id = $1 and a.id = m.from_customer_id
     join customers b on b.business_id = $1 and b.id = m.to_customer_id
     where m.business_id = $1 and m.vehicle_id = $2 order by moved_at desc`,
    { bind: [businessId, vehicleId], type: QueryTypes.SELECT },
  );
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
}
