import type { Sequelize } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { AppError } from "../errors/appError";
import { OutsideError } from "../outside/http";

export interface Supplier {
  id: string;
  name: string;
  /** E.164; null: none is kept. */
  phone: string | null;
}

/** The suppliers of the business, the one it buys from first first. */
export function listSuppliers(db: Sequelize, businessId: string): Promise<Supplier[]> {
  return askPrepared<Supplier>(
    db,
    "select id, name, phone from suppliers where business_id = $1 order by position, id",
    [businessId],
  );
}

/**
 * A supplier of the business; without an id the one it buys from first.
 * @throws {AppError} `parts/no-supplier`.
 */
export async function findSupplier(db: Sequelize, businessId: string, id: string | null): Promise<Supplier> {
  const [found] = await askPrepared<Supplier>(
    db,
    `select id, name, phone from suppliers where business_id = $1 and ($2::text is null or id = $2) order by position, id limit 1`,
    [businessId, id],
  );
  if (!found)
    throw new AppError(
      "parts/no-supplier",
      "No such supplier is kept for your business. Nothing was ordered; load the page again and pick another.",
    );
  return found;
}

/** @throws {AppError} `parts/supplier-unreachable` where the supplier fails. @param left - what that means. */
export async function reachSupplier<T>(ask: () => Promise<T>, left: string): Promise<T> {
  try {
    return await ask();
  } catch (error) {
    if (error instanceof OutsideError)
      throw new AppError("parts/supplier-unreachable", `The supplier does not answer. ${left}`, {
        cause: error,
        retryAfterSeconds: 30,
      });
    throw error;
  }
}
