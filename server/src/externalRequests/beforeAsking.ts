import { ConnectionAcquireTimeoutError, ConnectionError } from "sequelize";
import { isLostConnection } from "../db/sqlState";
import { AppError } from "../errors/appError";

/**
 * What is written down before the outside is asked: where the database goes away meanwhile, the outside was not, and
 * it is said so. What may have been written is given up there by whoever settles it.
 *
 * @param words - what was not done.
 * @throws {AppError} `database/unreachable`, or whatever else the work throws.
 */
export async function beforeAsking<T>(words: string, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof ConnectionError || error instanceof ConnectionAcquireTimeoutError || isLostConnection(error))
      throw new AppError("database/unreachable", words, { cause: error, retryAfterSeconds: 5 });
    throw error;
  }
}
