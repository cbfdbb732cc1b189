import { EventEmitter } from "node:events";
import { Logger as WorkerLogger, run, type WorkerEvents } from "graphile-worker";
import pg from "pg";
import { messagePayload, sendMessage } from "../messages/sendMessage";
import { SEND_MESSAGE_TASK } from "../messages/service";
import type { Deps } from "../scope";
import { DeadWorkers } from "./deadWorkers";
import { IMPORT_TASK, importPayload, runImportStep } from "../transfer/importTasks";

/** Starts doing what was queued: messages, imports; what fails waits and is tried again, longer each time. */
export async function startWorker(deps: Deps): Promise<{ stop(): Promise<void> }> {
  const { config, log } = deps;
  // A pool of our own: the queue's would leave a lost connection's error unheard, and that ends the process.
  const pgPool = new pg.Pool({ connectionString: config.databaseUrl, max: 4, application_name: "mechanon-queue" });
  const heard = (error: Error): void => log.warn({ err: error }, "queue lost the database");
  pgPool.on("error", heard);
  pgPool.on("connect", (client) => client.on("error", heard));
  const workerIds: string[] = [];
  const events: WorkerEvents = new EventEmitter();
  events.on("worker:create", ({ worker }) => workerIds.push(worker.workerId));
  const runner = await run({
    pgPool,
    events,
    concurrency: 3,
    pollInterval: 2000,
    noHandleSignals: true,
    logger: new WorkerLogger(() => (level, message) => log.debug({ level, message }, "queue")),
    taskList: {
      [SEND_MESSAGE_TASK]: async (raw) => sendMessage(deps, messagePayload.parse(raw)),
      [IMPORT_TASK]: async (raw) => runImportStep(deps, importPayload.parse(raw)),
    },
  });
  const deadWorkers = new DeadWorkers(config.databaseUrl, pgPool, log, workerIds);
  await deadWorkers.start();
  return {
    async stop() {
      await runner.stop();
      await deadWorkers.stop();
      await pgPool.end();
    },
  };
}
