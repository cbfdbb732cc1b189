import { readFileSync } from "node:fs";
import type { Server } from "node:http";
import pino from "pino";
import { readVinTable } from "@mechanon/core/vin";
import { hashPassword } from "./access/passwords";
import { SignInTries } from "./access/tries";
import type { Config } from "./config";
import { connect } from "./db/connect";
import { migrate } from "./db/migrate";
import { defineModels } from "./db/models";
import { loadDemoIfEmpty } from "./demo/load";
import { ChangeListener } from "./events/listener";
import { createApp } from "./http/app";
import { connectOutside } from "./outside/outside";
import { openPhotoStore } from "./photos/store/openStore";
import { startWorker } from "./queue/worker";
import type { Deps } from "./scope";
import { indexOutdated } from "./search/indexCustomers";
import { RulesCache } from "./settings/rulesCache";

export interface Running {
  url: string;
  deps: Deps;
  stop(): Promise<void>;
}

/** Starts the server whole: database forward, demo data if empty, queue, listener, HTTP. */
export async function start(config: Config, now: () => Date = () => new Date()): Promise<Running> {
  // What a statement was given is people's data, and none of a log's business.
  const hidden = ["err.parameters", "err.parent.parameters", "err.original.parameters"];
  const log = pino({ level: config.logLevel, redact: { paths: hidden, remove: true } });
  const db = connect(config.databaseUrl);
  defineModels(db);
  await migrate(db, config.databaseUrl);
  const deps: Deps = {
    config,
    db,
    outside: connectOutside(config.standinsUrl, config.outsideTimeoutMs),
    vin: { table: readVinTable(readFileSync(config.vinTable)), currentYear: now().getFullYear() },
    photos: await openPhotoStore(config),
    rules: new RulesCache(db),
    log,
  };
  await loadDemoIfEmpty(deps, now());
  await indexOutdated(db);
  const tries = await SignInTries.create(db);
  const listener = new ChangeListener(config.databaseUrl, log);
  await listener.start();
  const worker = await startWorker(deps);
  const app = createApp(deps, { tries, listener, dummyHash: await hashPassword("nobody has this password") });
  const server = await listen(app.listen(config.port, config.host));
  const address = server.address();
  const port = typeof address === "object" && address !== null ? address.port : config.port;
  return {
    url: `http://${config.host}:${port}`,
    deps,
    async stop() {
      await listener.stop();
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await worker.stop();
      await db.close();
    },
  };
}

function listen(server: Server): Promise<Server> {
  return new Promise((resolve, reject) => {
    server.once("listening", () => resolve(server));
    server.once("error", reject);
  });
}
