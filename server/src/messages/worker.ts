import { Logger as WorkerLogger, run } from "graphile-worker";
import pg from "pg";
import { z } from "zod";
import { Message } from "../db/models";
import { notifyChange } from "../events/notify";
import type { Deps } from "../scope";
import { SEND_MESSAGE_TASK } from "./service";

const payload = z.object({ businessId: z.string(), messageId: z.string() });

/** Starts sending queued messages; one that fails waits and is tried again, longer each time. */
export async function startWorker(deps: Deps): Promise<{ stop(): Promise<void> }> {
  const { config, log } = deps;
  // A pool of our own: the queue's would leave a lost connection's error unheard, and that ends the process.
  const pgPool = new pg.Pool({ connectionString: config.databaseUrl, max: 4, application_name: "mechanon-queue" });
  const heard = (error: Error): void => log.warn({ err: error }, "queue lost the database");
  pgPool.on("error", heard);
  pgPool.on("connect", (client) => client.on("error", heard));
  const runner = await run({
    pgPool,
    concurrency: 2,
    pollInterval: 2000,
    noHandleSignals: true,
    logger: new WorkerLogger(() => (level, message) => log.debug({ level, message }, "queue")),
    taskList: { [SEND_MESSAGE_TASK]: async (raw) => sendMessage(deps, payload.parse(raw)) },
  });
  return {
    async stop() {
      await runner.stop();
      await pgPool.end();
    },
  };
}

/** @throws {OutsideError} when the messenger does not take it, so that the queue tries again. */
export async function sendMessage(
  { db, outside }: Pick<Deps, "db" | "outside">,
  { businessId, messageId: id }: z.infer<typeof payload>,
): Promise<void> {
  const message = await Message.findOne({ where: { businessId, id } });
  if (!message || message.status === "sent") return;
  try {
    await outside.messenger.send(id, message.recipient, message.text);
  } catch (error) {
    await message.update({ lastError: "The message service does not answer; it is tried again." });
    throw error;
  }
  await db.transaction(async (transaction) => {
    await message.update({ status: "sent", sentAt: new Date(), lastError: null }, { transaction });
    if (message.workOrderId !== null)
      await notifyChange(db, businessId, { kind: "workOrder", id: message.workOrderId, revision: 0 }, transaction);
  });
}
