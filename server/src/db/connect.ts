import pg from "pg";
import { Sequelize } from "sequelize";
import { businessNow } from "./ofBusiness";

type Ask = (...asked: unknown[]) => unknown;
const BEGINS = /^\s*(start transaction|begin)\b/i;
const ENDS = /^\s*(commit|rollback)\b(?!\s+to\b)/i;
/** SQLSTATE of what the database says as it closes a connection: shut down, dropped, idle for too long. */
const PARTING = /^57P|^25P0[34]/;

/**
 * A connection whose statements see the rows of one business: each transaction begins with saying whose, and a statement
 * that stands alone becomes one. All of it goes out together, so it costs no further way to the database and back.
 */
class BusinessClient extends pg.Client {
  private isInTransaction = false;
  /** Read by Sequelize's pool before it gives a connection out once more. */
  _invalid = false;

  constructor(config: pg.ClientConfig = {}) {
    super({ ...config, pipeline: true });
    // Sequelize listens for a connection's errors only after it was made: one dropped at once would end the process.
    this.on("error", () => undefined);
    // A statement fails with the database's parting words, and gives its connection back, before the connection has ended.
    this.connection.on("errorMessage", ({ code }: { code?: string }) => {
      if (PARTING.test(code ?? "")) this._invalid = true;
    });
    const ask: Ask = (...asked) => (pg.Client.prototype.query as Ask).apply(this, asked);
    this.query = ((...asked: unknown[]) => this.askForBusiness(ask, asked)) as typeof this.query;
  }

  private askForBusiness(ask: Ask, asked: unknown[]): unknown {
    const text = typeof asked[0] === "string" ? asked[0] : "";
    const businessId = businessNow();
    if (ENDS.test(text)) {
      this.isInTransaction = false;
      return ask(...asked);
    }
    if (BEGINS.test(text)) {
      this.isInTransaction = true;
      const [, ...rest] = asked;
      return businessId === null
        ? ask(...asked)
        : ask(`${text.replace(/;?\s*$/, ";")} ${saysWhose(businessId)}`, ...rest);
    }
    if (this.isInTransaction || businessId === null) return ask(...asked);
    ask(`begin; ${saysWhose(businessId)}`, ignored);
    const answer = ask(...asked);
    // After a statement that failed it rolls back.
    ask("commit", ignored);
    return answer;
  }
}

/** Only till the transaction's end. The id was checked where it was set. */
const saysWhose = (businessId: string): string => `select set_config('mechanon.business_id', '${businessId}', true)`;

/** What fails here fails the statement between, which says so. */
const ignored = (): void => undefined;

/** Opens a pool; `bigint` columns come back as numbers, since cents stay far below 2^53. */
export function connect(databaseUrl: string): Sequelize {
  pg.types.setTypeParser(pg.types.builtins.INT8, Number);
  return new Sequelize(databaseUrl, {
    dialect: "postgres",
    dialectModule: { ...pg, Client: BusinessClient },
    logging: false,
    pool: { max: 12, idle: 10_000, acquire: 10_000 },
    dialectOptions: {
      statement_timeout: 20_000,
      connectionTimeoutMillis: 5_000,
      application_name: "mechanon",
      // Compiling a statement takes far longer than any of ours runs.
      options: "-c jit=off",
    },
    define: { underscored: true, timestamps: false },
  });
}
