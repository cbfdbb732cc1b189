import { RateLimiterPostgres, RateLimiterRes } from "rate-limiter-flexible";
import type { Sequelize } from "sequelize";
import { AppError } from "../http/errors";

const TRIES = 8;
const WINDOW_SECONDS = 15 * 60;

/** Counts wrong passwords per name and per address in the database, so that all servers count together. */
export class SignInTries {
  private constructor(
    private readonly byLogin: RateLimiterPostgres,
    private readonly byAddress: RateLimiterPostgres,
  ) {}

  static async create(db: Sequelize): Promise<SignInTries> {
    const limiter = (keyPrefix: string, points: number): Promise<RateLimiterPostgres> =>
      new Promise((resolve, reject) => {
        const made = new RateLimiterPostgres(
          {
            storeClient: db,
            storeType: "sequelize",
            points,
            duration: WINDOW_SECONDS,
            keyPrefix,
            tableName: "sign_in_tries",
          },
          (error?: Error) => (error ? reject(error) : resolve(made)),
        );
      });
    return new SignInTries(await limiter("login", TRIES), await limiter("address", TRIES * 5));
  }

  /** @throws {AppError} `session/too-many-tries` with the time to wait. */
  async requireFree(login: string, address: string): Promise<void> {
    const [a, b] = await Promise.all([this.byLogin.get(login), this.byAddress.get(address)]);
    if (a && a.consumedPoints >= TRIES) throw tooMany(a);
    if (b && b.consumedPoints >= TRIES * 5) throw tooMany(b);
  }

  async countWrong(login: string, address: string): Promise<void> {
    await Promise.all([this.byLogin.penalty(login), this.byAddress.penalty(address)]);
  }

  async forget(login: string): Promise<void> {
    await this.byLogin.delete(login);
  }
}

function tooMany(state: RateLimiterRes): AppError {
  const seconds = Math.ceil(state.msBeforeNext / 1000);
  return new AppError(
    "session/too-many-tries",
    `Too many wrong passwords. Wait ${Math.ceil(seconds / 60)} minutes, then try again.`,
    { retryAfterSeconds: seconds },
  );
}
