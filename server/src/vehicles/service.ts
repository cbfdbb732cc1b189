import { normalizePlate } from "@mechanon/core";
import { CalcError } from "@mechanon/core/calc";
import { cleanVin } from "@mechanon/core/vin";
import type { Vehicle, vehicleBody, vehicleChanges } from "@mechanon/contract";
import type { Sequelize, Transaction } from "sequelize";
import type { z } from "zod";
import { VehicleRow } from "./model";
import { findLiveCustomer } from "../customers/service";
import { AppError } from "../errors/appError";
import type { Scope } from "../scope";
import { indexCustomers } from "../search/indexCustomers";
import { VEHICLE_TAKEN } from "./constraints";
import { peopleOf } from "./peopleOf";
import { toVehicle } from "./toVehicle";

/** @throws {AppError} `vehicle/not-found`, also for another business's car. */
export async function findVehicle(
  { businessId }: Pick<Scope, "businessId">,
  id: string,
  transaction?: Transaction,
  lock?: "locked",
): Promise<VehicleRow> {
  const row = await VehicleRow.findOne({
    where: { businessId, id },
    transaction,
    lock: lock === "locked" ? transaction?.LOCK.UPDATE : undefined,
  });
  if (!row) throw new AppError("vehicle/not-found", "This car is not kept here. Search for its plate or VIN.");
  return row;
}

/**
 * Keeps a new car.
 * @throws {AppError} `vehicle/vin-taken`, `vehicle/plate-taken` with the id of the one that is kept.
 */
export async function createVehicle(
  db: Sequelize,
  scope: Scope,
  body: z.output<typeof vehicleBody>,
  transaction: Transaction,
): Promise<Vehicle> {
  const owner = await findLiveCustomer(scope, body.customerId, transaction);
  const known = identity(body);
  await refuseKept(scope, known, transaction);
  const row = await VehicleRow.create(
    { ...body, ...known, businessId: scope.businessId, customerId: owner.id, version: 1 },
    { transaction },
  );
  await indexCustomers(db, scope.businessId, [owner.id], transaction);
  return toVehicle(row);
}

/** Two at one moment are kept apart by the constraints of the table; the one told by them asks again. */
async function refuseKept(
  { businessId }: Scope,
  { vin, plateKey, region }: ReturnType<typeof identity>,
  transaction: Transaction,
): Promise<void> {
  const taken = [
    { code: "vehicle/vin-taken" as const, where: vin === null ? null : { vin } },
    { code: "vehicle/plate-taken" as const, where: plateKey === null ? null : { plateKey, region } },
  ];
  for (const { code, where } of taken) {
    const kept = where && (await VehicleRow.findOne({ where: { businessId, ...where }, transaction }));
    if (kept) throw new AppError(code, VEHICLE_TAKEN[code], { keptId: kept.id });
  }
}

/**
 * Changes what is known of a car. Specs of another engine or model are asked for anew; corrections stay.
 * @throws {AppError} `version/changed` when somebody else changed it meanwhile.
 */
export async function changeVehicle(
  db: Sequelize,
  scope: Scope,
  id: string,
  { version, ...changes }: z.output<typeof vehicleChanges>,
): Promise<Vehicle> {
  const { businessId } = scope;
  return db.transaction(async (transaction) => {
    const row = await findVehicle(scope, id, transaction, "locked");
    requireVersion(row, version);
    const isAnother = (["year", "make", "model", "engine"] as const).some((fact) => changes[fact] !== row[fact]);
    await row.update(
      { ...changes, ...identity(changes), version: version + 1, ...(isAnother ? { specs: null } : {}) },
      { transaction },
    );
    await indexCustomers(db, businessId, await concerned(businessId, row, transaction), transaction);
    return toVehicle(row);
  });
}

/** @throws {AppError} `version/changed`. */
export function requireVersion(row: VehicleRow, version: number): void {
  if (row.version !== version)
    throw new AppError(
      "version/changed",
      "Somebody else changed this car meanwhile. What you typed is still here; load the newest and compare.",
    );
}

/** The customers a car leads to: its owner, and who drives it. */
export async function concerned(businessId: string, row: VehicleRow, transaction: Transaction): Promise<string[]> {
  return [row.customerId, ...(await peopleOf(businessId, [row.id], transaction)).map(({ customerId }) => customerId)];
}

/** VIN and plate as they are kept and compared. */
function identity({
  vin,
  plate,
  region,
}: Pick<Vehicle, "vin" | "plate" | "region">): Pick<VehicleRow, "vin" | "plate" | "region" | "plateKey"> {
  const read = plate !== null && region !== null ? readPlate(plate, region) : null;
  return {
    vin: vin === null ? null : cleanVin(vin),
    plate: read?.plate ?? null,
    region: read?.region ?? null,
    plateKey: read?.key ?? null,
  };
}

/** @throws {AppError} `request/invalid` for a plate of which nothing is left. */
export function readPlate(plate: string, region: string): ReturnType<typeof normalizePlate> {
  try {
    return normalizePlate({ plate, region });
  } catch (error) {
    if (error instanceof CalcError)
      throw new AppError("request/invalid", `${error.message}. Nothing was changed.`, {
        fields: [{ path: error.path, message: error.message }],
      });
    throw error;
  }
}
