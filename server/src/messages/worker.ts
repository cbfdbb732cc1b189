import { Logger as WorkerLogger, run, type Runner } from "graphile-worker";
import { z } from "zod";
import { Message } from "../db/models";
import { notifyChange } from "../events/notify";
import type { Deps } from "../scope";
import { SEND_MESSAGE_TASK } from "./service";

const payload = z.object({ businessId: z.string(), messageId: z.string() });

/** Starts sending queued messages; one that fails waits and is tried again, longer each time. */
export async function startWorker(deps: Deps): Promise<Runner> {
  const { config, log } = deps;
  return run({
    connectionString: config.databaseUrl,
    concurrency: 2,
    pollInterval: 2000,
    noHandleSignals: true,
    logger: new WorkerLogger(() => (level, message) => log.debug({ level, message }, "queue")),
    taskList: { [SEND_MESSAGE_TASK]: async (raw) => sendMessage(deps, payload.parse(raw)) },
  });
}

/** @throws {OutsideError} when the messenger does not take it, so that the queue tries again. */
export async function sendMessage({ db, outside }: Pick<Deps, "db" | "outside">, { businessId, messageId: id }: z.infer<typeof payload>): Promise<void> {
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
    if (message.workOrderId !== null) await notifyChange(db, businessId, { kind: "workOrder", id: message.workOrderId, revision: 0 }, transaction);
  });
}
