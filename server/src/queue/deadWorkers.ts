import pg from "pg";
import type { Logger } from "pino";
import { LastingConnection } from "../db/lastingConnection";

/** Advisory locks of workers, apart from all others. */
export const WORKER_LOCKS = 0x6d77;
const SWEEP_MS = 15_000;
/** A worker takes its first job a moment before its sign of life is there. */
const YOUNGEST_SECONDS = 10;

/**
 * A server that was killed leaves its jobs locked, which the queue itself frees after four hours only. So each server
 * holds a lock for each of its workers, which PostgreSQL lets go with the connection, and frees the jobs of those whose
 * lock nobody holds.
 */
export class DeadWorkers {
  private readonly signOfLife: LastingConnection;
  private sweeps: ReturnType<typeof setInterval> | undefined;

  /** @param ownIds The workers of this server. */
  constructor(
    databaseUrl: string,
    private readonly pool: pg.Pool,
    private readonly log: Logger,
    ownIds: readonly string[],
  ) {
    this.signOfLife = new LastingConnection(databaseUrl, "mechanon-workers", log, async (client) => {
      await client.query("select pg_advisory_lock_shared($1, hashtext(id)) from unnest($2::text[]) id", [
        WORKER_LOCKS,
        ownIds,
      ]);
    });
  }

  async start(): Promise<void> {
    await this.signOfLife.start();
    await this.freeJobs();
    this.sweeps = setInterval(() => void this.freeJobs(), SWEEP_MS);
  }

  /** Frees what dead workers of any server hold; what cannot be done now is done with the next sweep. */
  async freeJobs(): Promise<void> {
    try {
      await this.pool.query(
        `with holding as (
           select locked_by as id from graphile_worker.jobs
           where locked_at < now() - make_interval(secs => ${YOUNGEST_SECONDS}) group by 1),
         dead as (select id from holding where pg_try_advisory_xact_lock($1, hashtext(id)))
         select graphile_worker.force_unlock_workers(array_agg(id)) from dead having count(*) > 0`,
        [WORKER_LOCKS],
      );
    } catch (error) {
      this.log.warn({ err: error }, "cannot look for dead workers");
    }
  }

  async stop(): Promise<void> {
    clearInterval(this.sweeps);
    await this.signOfLife.stop();
  }
}
