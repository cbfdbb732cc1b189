import { catalogVariants, decodeVin, describeVehicle, type Variants, type VinReport } from "@mechanon/core/vin";
import type { KnownVehicle, VehicleGuess } from "@mechanon/contract";
import { Op } from "sequelize";
import { CustomerRow } from "../customers/model";
import { VehicleRow } from "./model";
import { AppError } from "../errors/appError";
import { OutsideError } from "../outside/http";
import type { RegisterCar } from "../outside/plateRegister/port";
import type { Deps, Scope } from "../scope";
import { listWorkOrders } from "../workOrders/summaries";
import { peopleOf } from "./peopleOf";
import { readPlate } from "./service";
import { toVehicle } from "./toVehicle";

const MOST_OPEN = 5;
const NO_VARIANTS: Variants = { trims: [], engines: [], drives: [] };

/** What a VIN says, what it leaves open, and whether we know the car. */
export async function lookUpVin(
  { db, vin }: Pick<Deps, "db" | "vin">,
  scope: Scope,
  typed: string,
): Promise<{ report: VinReport; guess: VehicleGuess; variants: Variants; known: KnownVehicle | null }> {
  const report = decodeVin(typed, vin);
  const { modelYear: year, make, model } = report;
  const row = await VehicleRow.findOne({ where: { businessId: scope.businessId, vin: report.vin } });
  return {
    report,
    guess: { ...describeVehicle(report), plate: null, region: null, color: null },
    variants:
      year !== null && make !== null && model !== null
        ? catalogVariants(vin.table, { year, make, model }, report.vin)
        : NO_VARIANTS,
    known: row ? await knownVehicle(db, scope, row) : null,
  };
}

/**
 * The car behind a plate: ours without asking anybody, else what the register says.
 * @throws {AppError} `plate/unknown`, or `plate/register-unreachable` when nobody answers.
 */
export async function lookUpPlate(
  { db, outside, vin }: Pick<Deps, "db" | "outside" | "vin">,
  scope: Scope,
  typed: { plate: string; region: string },
): Promise<{ guesses: VehicleGuess[]; known: KnownVehicle | null }> {
  const { plate, region, key } = readPlate(typed.plate, typed.region);
  const { businessId } = scope;
  const row = await VehicleRow.findOne({ where: { businessId, region, plateKey: key } });
  if (row) return { guesses: [], known: await knownVehicle(db, scope, row) };
  const cars = await askRegister(outside, region, key);
  if (cars.length === 0)
    throw new AppError(
      "plate/unknown",
      `The register has no car for ${plate}, ${region}. Check the plate, or go on with the VIN or by hand.`,
    );
  // A new plate on a car we know: the VIN tells.
  const vins = cars.flatMap((car) => (car.vin === null ? [] : [car.vin]));
  const [same] = await VehicleRow.findAll({ where: { businessId, vin: { [Op.in]: vins } }, limit: 1 });
  return {
    guesses: cars.map((car) => guessFromRegister(car, { plate, region }, vin)),
    known: same ? await knownVehicle(db, scope, same) : null,
  };
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

async function knownVehicle(db: Deps["db"], scope: Scope, row: VehicleRow): Promise<KnownVehicle> {
  const { businessId } = scope;
  const [owner, people, openWork] = await Promise.all([
    CustomerRow.findOne({ where: { businessId, id: row.customerId }, rejectOnEmpty: true }),
    peopleOf(businessId, [row.id]),
    listWorkOrders(db, scope, "openOfVehicle", row.id, { most: MOST_OPEN }),
  ]);
  return {
    vehicle: toVehicle(row),
    customerName: owner.name,
    people: people.map(({ customerId, name, role }) => ({ customerId, name, role })),
    openWork,
  };
}

function guessFromRegister(car: RegisterCar, plate: { plate: string; region: string }, vin: Deps["vin"]): VehicleGuess {
  const own = { ...plate, color: car.color };
  if (car.vin !== null) return { ...describeVehicle(decodeVin(car.vin, vin)), ...own };
  const { year, make, model } = car;
  return { vin: null, ...own, year, make, model, trim: null, engine: null, drive: null, transmission: null };
}
