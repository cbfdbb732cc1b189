import { EventEmitter } from "node:events";
import { Logger as WorkerLogger, run, type Task, type WorkerEvents } from "graphile-worker";
import pg from "pg";
import { messagePayload, sendMessage } from "../messages/sendMessage";
import { COMPLETE_AGREEMENT_TASK } from "../requests/agree";
import { agreementPayload, completeAgreement } from "../requests/completeAgreement";
import { BEHIND_TASK, behindSteps, runBehind } from "../behind/runBehind";
import { SETTLE_TASK } from "../externalRequests/reserveRequest";
import { settlePayload, settleRequest } from "./settleRequest";
import { SEND_MESSAGE_TASK } from "../messages/service";
import { OFFER_GAP_TASK, gapPayload, offerGap } from "../schedule/moveAsks/offerGap";
import { TELL_TIMES_TASK, tellTimes } from "../messages/tellTimes";
import { tellNudges } from "../messages/tellNudges";
import { z } from "zod";
import { FORGET_PHOTOS_TASK, removeBytes } from "../photos/photos";
import { ofBusiness } from "../db/ofBusiness";
import type { Deps } from "../scope";
import { DeadWorkers } from "./deadWorkers";
import { MAINTENANCE_TASK, maintain } from "./maintenance";
import { IMPORT_TASK, importPayload, runImportStep } from "../transfer/importTasks";

const forgottenPhotos = z.object({ keys: z.array(z.string()) });

/** A job of one business, done for it. */
function ofItsBusiness<Job extends { businessId: string }>(
  payload: z.ZodType<Job>,
  work: (job: Job) => Promise<void>,
): Task {
  return async (raw) => {
    const job = payload.parse(raw);
    await ofBusiness(job.businessId, () => work(job));
  };
}

/**
 * Starts doing what was queued: messages, imports, requests to settle, what migrations left behind; what fails waits
 * and is tried again, longer each time.
 */
export async function startWorker(deps: Deps): Promise<{ stop(): Promise<void> }> {
  const { config, log } = deps;
  // A pool of our own: the queue's would leave a lost connection's error unheard, and that ends the process.
  const pgPool = new pg.Pool({ connectionString: config.databaseOwnerUrl, max: 4, application_name: "mechanon-queue" });
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
      [SEND_MESSAGE_TASK]: ofItsBusiness(messagePayload, (job) => sendMessage(deps, job)),
      [IMPORT_TASK]: ofItsBusiness(importPayload, (job) => runImportStep(deps, job)),
      [SETTLE_TASK]: ofItsBusiness(settlePayload, (job) => settleRequest(deps, job)),
      [FORGET_PHOTOS_TASK]: async (raw) => removeBytes(deps.photos, forgottenPhotos.parse(raw).keys),
      [COMPLETE_AGREEMENT_TASK]: ofItsBusiness(agreementPayload, async ({ businessId, requestId }) => {
        await completeAgreement(deps, businessId, requestId);
      }),
      [OFFER_GAP_TASK]: ofItsBusiness(gapPayload, (job) => offerGap(deps, job, new Date())),
      [TELL_TIMES_TASK]: async (_raw, { withPgClient }) => {
        const { rows } = await withPgClient((client) => client.query<{ id: string }>("select id from businesses"));
        for (const { id } of rows) {
          await tellTimes(deps, id, new Date());
          await tellNudges(deps, id, new Date());
        }
      },
      [MAINTENANCE_TASK]: async (_raw, { withPgClient }) => withPgClient(maintain),
      [BEHIND_TASK]: async (_raw, { withPgClient, addJob }) => {
        if ((await runBehind(withPgClient, log, behindSteps(deps.photos))) === "more")
          await addJob(BEHIND_TASK, {}, { queueName: BEHIND_TASK });
      },
    },
    crontab: [
      `17 3 * * * ${MAINTENANCE_TASK}`,
      ...(config.tellsByClock ? [`*/5 * * * * ${TELL_TIMES_TASK}`] : []),
    ].join("\n"),
  });
  // Of several servers that start at once, one does it.
  for (const task of [BEHIND_TASK, MAINTENANCE_TASK]) await runner.addJob(task, {}, { queueName: task, jobKey: task });
  const deadWorkers = new DeadWorkers(config.databaseOwnerUrl, pgPool, log, workerIds);
  await deadWorkers.start();
  return {
    async stop() {
      await runner.stop();
      await deadWorkers.stop();
      await pgPool.end();
    },
  };
}
