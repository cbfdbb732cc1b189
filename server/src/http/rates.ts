import { RateLimiterPostgres, RateLimiterRes } from "rate-limiter-flexible";
import type { Sequelize } from "sequelize";
import type { Route } from "@mechanon/contract";
import { AppError } from "../errors/appError";

/** Counts what costs money or reaches somebody, in the database, so that all servers count together. */
export class Rates {
  private readonly limiters = new Map<string, RateLimiterPostgres>();

  constructor(private readonly db: Sequelize) {}

  /** @param who - is counted: a person, or the address of a stranger. @throws {AppError} `request/too-often`, with the time to wait. */
  async count(declared: Route, who: string): Promise<void> {
    if (!declared.rate) return;
    try {
      await this.limiterOf(declared, declared.rate).consume(who);
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error;
      const seconds = Math.ceil(error.msBeforeNext / 1000);
      throw new AppError(
        "request/too-often",
        `That was asked for ${declared.rate.most} times in ${declared.rate.minutes} minutes. Nothing was done; wait ${Math.ceil(seconds / 60)} minutes.`,
        { retryAfterSeconds: seconds },
      );
    }
  }

  private limiterOf({ method, path }: Route, { most, minutes }: NonNullable<Route["rate"]>): RateLimiterPostgres {
    const name = `${method} ${path}`;
    const known = this.limiters.get(name);
    if (known) return known;
    const made = countedInDatabase(this.db, name, most, minutes * 60);
    this.limiters.set(name, made);
    return made;
  }
}

/** A count of its own in the database: each `consume` counts at once, before anything else is done. */
export function countedInDatabase(
  db: Sequelize,
  keyPrefix: string,
  points: number,
  durationSeconds: number,
): RateLimiterPostgres {
  return new RateLimiterPostgres({
    storeClient: db,
    storeType: "sequelize",
    points,
    duration: durationSeconds,
    keyPrefix,
    tableName: "request_counts",
    tableCreated: true,
  });
}
