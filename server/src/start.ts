import { readFileSync } from "node:fs";
import type { Server } from "node:http";
import pino from "pino";
import { QueryTypes } from "sequelize";
import { readVinTable } from "@mechanon/core/vin";
import { hashPassword } from "./access/passwords";
import { SignInTries } from "./access/tries";
import type { Config } from "./config";
import { connect } from "./db/connect";
import { grantServer, requireOwnRowsOnly } from "./db/grants";
import { migrate } from "./db/migrate";
import { defineModels } from "./models";
import { ofBusiness } from "./db/ofBusiness";
import { loadDemo } from "./demo/loadDemo";
import { ChangeListener } from "./events/listener";
import { createApp } from "./app";
import { connectOutside } from "./outside/outside";
import { openPhotoStore } from "./photoStore/openStore";
import { startWorker } from "./queue/worker";
import type { Deps } from "./scope";
import { businessesOutdated, indexOutdated } from "./search/indexCustomers";
import { RulesCache } from "./rules/rulesCache";

/** What a slow sender is given for its headers, and for all of a request. */
const HEADERS_MS = 15_000;
const REQUEST_MS = 300_000;

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
  const outdated = await bringForward(config);
  const db = connect(config.databaseUrl);
  await requireOwnRowsOnly(db);
  defineModels(db);
  const deps: Deps = {
    config,
    db,
    outside: connectOutside(config),
    vin: { table: readVinTable(readFileSync(config.vinTable)), currentYear: now().getFullYear() },
    photos: await openPhotoStore(config),
    rules: new RulesCache(db),
    log,
  };
  if (outdated.isEmpty) await loadDemo(deps, now());
  for (const businessId of outdated.businesses) await ofBusiness(businessId, () => indexOutdated(db, businessId));
  const tries = new SignInTries(db);
  const listener = new ChangeListener(config.databaseUrl, log);
  await listener.start();
  const worker = await startWorker(deps);
  const app = createApp(deps, { tries, listener, dummyHash: await hashPassword("nobody has this password") });
  const server = await listen(app.listen(config.port, config.host));
  server.headersTimeout = HEADERS_MS;
  server.requestTimeout = REQUEST_MS;
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

/** Brings the database forward, as its owner. @returns What is left for the server to see to. */
async function bringForward(config: Config): Promise<{ isEmpty: boolean; businesses: string[] }> {
  const owner = connect(config.databaseOwnerUrl);
  try {
    await migrate(owner, config.databaseOwnerUrl);
    await grantServer(owner, new URL(config.databaseUrl).username);
    const [found] = await owner.query<{ any: boolean }>("select exists (select from businesses) as any", {
      type: QueryTypes.SELECT,
    });
    return { isEmpty: !found?.any, businesses: await businessesOutdated(owner) };
  } finally {
    await owner.close();
  }
}

function listen(server: Server): Promise<Server> {
  return new Promise((resolve, reject) => {
    server.once("listening", () => resolve(server));
    server.once("error", reject);
  });
}
