import { runMigrations } from "graphile-worker";
import { QueryTypes, type Sequelize } from "sequelize";
import { Umzug } from "umzug";
import { MIGRATIONS } from "./migrations";

/** Held while migrating, so that two servers starting at once take turns. */
export const MIGRATION_LOCK = 430_043;

/** Brings the database forward: our tables, then those of the job queue. Each migration is one transaction. */
export async function migrate(sequelize: Sequelize, databaseUrl: string): Promise<void> {
  await sequelize.query(
    "create table if not exists migrations (name text primary key, migrated_at timestamptz not null default now())",
  );
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, sql }) => ({
      name,
      up: () =>
        sequelize.transaction(async (transaction) => {
          // Bringing years of work forward, or waiting for a server that does, takes longer than any answer may.
          await sequelize.query("set local statement_timeout = 0", { transaction });
          await sequelize.query(`select pg_advisory_xact_lock(${MIGRATION_LOCK})`, { transaction });
          const done = await sequelize.query("select 1 from migrations where name = $1", {
            bind: [name],
            transaction,
            type: QueryTypes.SELECT,
          });
          if (done.length > 0) return;
          await sequelize.query(sql, { transaction });
          await sequelize.query("insert into migrations (name) values ($1)", { bind: [name], transaction });
        }),
    })),
    storage: {
      // The row is written by the migration's own transaction.
      logMigration: async () => undefined,
      unlogMigration: async () => undefined,
      executed: async () =>
        (
          await sequelize.query<{ name: string }>("select name from migrations order by name", {
            type: QueryTypes.SELECT,
          })
        ).map(({ name }) => name),
    },
    logger: undefined,
  });
  await umzug.up();
  await runMigrations({ connectionString: databaseUrl });
}
