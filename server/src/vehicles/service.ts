import { normalizePlate } from "@mechanon/core";
import { CalcError } from "@mechanon/core/calc";
import { cleanVin, decodeVin, type VinReport } from "@mechanon/core/vin";
import type { Vehicle, VehicleGuess, vehicleBody } from "@mechanon/contract";
import type { Transaction } from "sequelize";
import type { z } from "zod";
import { CustomerRow, VehicleRow } from "../db/models";
import { findLiveCustomer } from "../customers/service";
import { AppError } from "../http/errors";
import { OutsideError } from "../outside/http";
import type { RegisterCar } from "../outside/outside";
import type { Deps, Scope } from "../scope";
import { indexCustomers } from "../search/indexCustomers";
import { toVehicle } from "./toVehicle";

/** @throws {AppError} `vehicle/not-found`, also for another business's car. */
export async function findVehicle(
  { businessId }: Pick<Scope, "businessId">,
  id: string,
  transaction?: Transaction,
): Promise<VehicleRow> {
  const row = await VehicleRow.findOne({ where: { businessId, id }, transaction });
  if (!row) throw new AppError("vehicle/not-found", "This car is not kept here. Search for its plate or VIN.");
  return row;
}

export async function createVehicle(
  db: Deps["db"],
  scope: Scope,
  body: z.output<typeof vehicleBody>,
  transaction: Transaction,
): Promise<Vehicle> {
  const owner = await findLiveCustomer(scope, body.customerId, transaction);
  const plate = body.plate !== null && body.region !== null ? readPlate(body.plate, body.region) : null;
  const row = await VehicleRow.create(
    {
      ...body,
      businessId: scope.businessId,
      customerId: owner.id,
      vin: body.vin === null ? null : cleanVin(body.vin),
      plate: plate?.plate ?? null,
      region: plate?.region ?? null,
      plateKey: plate?.key ?? null,
      version: 1,
    },
    { transaction },
  );
  await indexCustomers(db, scope.businessId, [owner.id], transaction);
  return toVehicle(row);
}

interface Known {
  vehicle: Vehicle;
  customerName: string;
}

export async function lookUpVin(
  { vin }: Pick<Deps, "vin">,
  scope: Scope,
  typed: string,
): Promise<{ report: VinReport; guess: VehicleGuess; known: Known | null }> {
  const report = decodeVin(typed, vin);
  const row = await VehicleRow.findOne({ where: { businessId: scope.businessId, vin: report.vin } });
  return {
    report,
    guess: guessFrom(report, { plate: null, region: null, color: null }),
    known: row ? await withOwner(scope, row) : null,
  };
}

/**
 * The car behind a plate: ours without asking anybody, else what the register says.
 * @throws {AppError} `plate/unknown`, or `plate/register-unreachable` when nobody answers.
 */
export async function lookUpPlate(
  { outside, vin }: Pick<Deps, "outside" | "vin">,
  scope: Scope,
  typed: { plate: string; region: string },
): Promise<{ guesses: VehicleGuess[]; known: Known | null }> {
  const { plate, region, key } = readPlate(typed.plate, typed.region);
  const row = await VehicleRow.findOne({ where: { businessId: scope.businessId, region, plateKey: key } });
  if (row) return { guesses: [], known: await withOwner(scope, row) };
  const cars = await askRegister(outside, region, key);
  if (cars.length === 0)
    throw new AppError(
      "plate/unknown",
      `The register has no car for ${plate}, ${region}. Check the plate, or go on with the VIN or by hand.`,
    );
  return { guesses: cars.map((car) => guessFromRegister(car, { plate, region }, vin)), known: null };
}

async function askRegister(outside: Deps["outside"], region: string, key: string): Promise<RegisterCar[]> {
  try {
    return await outside.plateRegister.carsBehind(region, key);
  } catch (error) {
    if (error instanceof OutsideError)
      throw new AppError(
        "plate/register-unreachable",
        "The plate register does not answer. What you typed is kept; go on with the VIN or by hand, or try again.",
        {
          cause: error,
        },
      );
    throw error;
  }
}

async function withOwner({ businessId }: Scope, row: VehicleRow): Promise<Known> {
  const owner = await CustomerRow.findOne({ where: { businessId, id: row.customerId }, rejectOnEmpty: true });
  return { vehicle: toVehicle(row), customerName: owner.name };
}

function guessFromRegister(car: RegisterCar, plate: { plate: string; region: string }, vin: Deps["vin"]): VehicleGuess {
  const own = { ...plate, color: car.color };
  if (car.vin !== null) return guessFrom(decodeVin(car.vin, vin), own);
  return { vin: null, ...own, year: car.year, make: car.make, model: car.model, trim: null, engine: null, drive: null };
}

function guessFrom(report: VinReport, own: Pick<VehicleGuess, "plate" | "region" | "color">): VehicleGuess {
  const { vin, modelYear, make, model, trim, drive, engine } = report;
  return { vin, ...own, year: modelYear, make, model, trim, engine: engineName(engine), drive };
}

function engineName({ displacementL, cylinders, configuration, fuel }: VinReport["engine"]): string | null {
  const shape = cylinders === null ? null : configuration === "V-Shaped" ? `V${cylinders}` : `${cylinders} cyl`;
  const parts = [
    displacementL === null ? null : `${displacementL.toFixed(1)} L`,
    shape,
    fuel === "Gasoline" ? null : fuel,
  ].filter((part) => part !== null);
  return parts.length === 0 ? null : parts.join(" ");
}

function readPlate(plate: string, region: string): ReturnType<typeof normalizePlate> {
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
