import { bulkhead, BulkheadRejectedError, type BulkheadPolicy } from "cockatiel";
import { LRUCache } from "lru-cache";
import { RateLimiterRes, type RateLimiterPostgres } from "rate-limiter-flexible";
import type { Sequelize } from "sequelize";
import { AppError } from "../errors/appError";
import { countedInDatabase } from "../http/rates";

const TRIES = 8;
const WINDOW_SECONDS = 15 * 60;
/** Hashing takes a thread and 32 MB: so many at one time, one of them for each address. */
const HASHES_AT_ONCE = 2;
const WAITING = 200;
const WAITING_OF_ADDRESS = 7;
const ADDRESSES = 5_000;

/**
 * Bounds the tries of a password: counted before they are made, per name in the database, so that all servers count
 * together. A device its person signed in on before has tries of its own, so that nobody is shut out by what others
 * type. Addresses are not shut out, many people may be behind one: each waits for its own tries.
 */
export class SignInTries {
  private readonly byLogin: RateLimiterPostgres;
  private readonly byDevice: RateLimiterPostgres;
  private readonly hashing = bulkhead(HASHES_AT_ONCE, WAITING);
  private readonly ofAddress = new LRUCache<string, BulkheadPolicy>({ max: ADDRESSES });

  constructor(db: Sequelize) {
    this.byLogin = countedInDatabase(db, "login", TRIES, WINDOW_SECONDS);
    this.byDevice = countedInDatabase(db, "device", TRIES, WINDOW_SECONDS);
  }

  /**
   * Makes one try.
   *
   * @param device - of a device that is known for this name; null: any other.
   * @param isRight - looks whether the password is right.
   * @throws {AppError} `session/too-many-tries` with the time to wait.
   */
  async attempt(
    { login, address, device }: { login: string; address: string; device: string | null },
    isRight: () => Promise<boolean>,
  ): Promise<boolean> {
    const [counter, key] = device === null ? [this.byLogin, login] : [this.byDevice, device];
    await counter.consume(key).catch((error: unknown) => {
      throw error instanceof RateLimiterRes ? tooMany(error.msBeforeNext) : error;
    });
    const right = await this.inTurn(address, isRight);
    if (right) await counter.delete(key);
    return right;
  }

  private async inTurn(address: string, work: () => Promise<boolean>): Promise<boolean> {
    const own = this.ofAddress.get(address) ?? bulkhead(1, WAITING_OF_ADDRESS);
    this.ofAddress.set(address, own);
    try {
      return await own.execute(() => this.hashing.execute(work));
    } catch (error) {
      if (error instanceof BulkheadRejectedError)
        throw new AppError("session/too-many-tries", "Many are signing in just now. Wait a moment, then try again.", {
          retryAfterSeconds: 2,
        });
      throw error;
    }
  }
}

function tooMany(waitMs: number): AppError {
  const seconds = Math.ceil(waitMs / 1000);
  return new AppError(
    "session/too-many-tries",
    `Too many wrong passwords. Wait ${Math.ceil(seconds / 60)} minutes, then try again; a device you signed in on before still lets you in.`,
    { retryAfterSeconds: seconds },
  );
}
