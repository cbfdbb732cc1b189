import type { SpecKey } from "@mechanon/core";
import type { ElsewhereReport, RecallReport } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import type { VehicleRow } from "./model";
import { AppError } from "../errors/appError";
import { OutsideError } from "../outside/http";
import type { Deps, Scope } from "../scope";
import { findVehicle } from "./service";

/**
 * Asks the source what a car needs, and keeps the answer: the sheet then has it without the source.
 * @throws {AppError} `vehicle/no-source` for a car the source cannot tell from others, `vehicle/source-unreachable`.
 */
export async function refreshSpecs({ outside }: Pick<Deps, "outside">, scope: Scope, id: string): Promise<void> {
  const row = await findVehicle(scope, id);
  const { year, make, model, engine, vin } = row;
  if (year === null || make === null || model === null)
    throw new AppError(
      "vehicle/no-source",
      "Specs need year, make and model. Add them to the car, or write the specs down from the car itself.",
    );
  const specs = await ask("The source of specs", () => outside.specs.of({ vin, year, make, model, engine }));
  // Asked again only when the car becomes another; `update` leaves what others changed meanwhile.
  await row.update({ specs });
}

/** @throws {AppError} `vehicle/no-source` without a VIN, `vehicle/source-unreachable`. */
export async function recallsOf({ outside }: Pick<Deps, "outside">, scope: Scope, id: string): Promise<RecallReport> {
  const car = requireVin(await findVehicle(scope, id), "Recalls");
  return ask("The source of recalls", () => outside.recalls.of(car));
}

/** @throws {AppError} `vehicle/no-source` without a VIN, `vehicle/source-unreachable`. */
export async function elsewhereOf(
  { outside }: Pick<Deps, "outside">,
  scope: Scope,
  id: string,
): Promise<ElsewhereReport> {
  const { vin } = requireVin(await findVehicle(scope, id), "The history elsewhere");
  return ask("The source of service history", () => outside.serviceHistory.of(vin));
}

/** Keeps what a mechanic found on the car instead of what the source says; earlier ones stay on record. */
export async function correctSpec(
  db: Sequelize,
  scope: Scope,
  id: string,
  { key, value }: { key: SpecKey; value: string | null },
): Promise<void> {
  await db.transaction(async (transaction) => {
    const row = await findVehicle(scope, id, transaction, "locked");
    const correction = { key, value, at: new Date().toISOString(), by: scope.actor.name };
    await row.update({ corrections: [...row.corrections, correction] }, { transaction });
  });
}

function requireVin(
  row: VehicleRow,
  what: string,
): { vin: string; year: number | null; make: string | null; model: string | null } {
  const { vin, year, make, model } = row;
  if (vin === null)
    throw new AppError("vehicle/no-source", `${what} goes by the VIN. Add it to the car, then look again.`);
  return { vin, year, make, model };
}

async function ask<T>(source: string, call: () => Promise<T>): Promise<T> {
  try {
    return await call();
  } catch (error) {
    if (error instanceof OutsideError)
      throw new AppError(
        "vehicle/source-unreachable",
        `${source} does not answer. Nothing was changed, and what was had before is still there; try again.`,
        { cause: error },
      );
    throw error;
  }
}
