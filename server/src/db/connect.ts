import pg from "pg";
import { Sequelize } from "sequelize";

/** Sequelize listens for a connection's errors only after it was made: one dropped at once would end the process. */
class HeardClient extends pg.Client {
  constructor(config?: string | pg.ClientConfig) {
    super(config);
    this.on("error", () => undefined);
  }
}

/** Opens a pool; `bigint` columns come back as numbers, since cents stay far below 2^53. */
export function connect(databaseUrl: string): Sequelize {
  pg.types.setTypeParser(pg.types.builtins.INT8, Number);
  return new Sequelize(databaseUrl, {
    dialect: "postgres",
    dialectModule: { ...pg, Client: HeardClient },
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
