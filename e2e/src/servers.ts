import { spawn, type ChildProcess } from "node:child_process";
import { randomBytes } from "node:crypto";
import { rm } from "node:fs/promises";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import pg from "pg";

const ROOT = join(__dirname, "..", "..");
const START_MS = 60_000;

/** A server with a database and stand-ins of its own, on free ports. */
export interface Servers {
  url: string;
  standins: string;
  stopServer(): Promise<void>;
  /** Ends it in the middle of whatever it does. */
  killServer(): Promise<void>;
  startServer(): Promise<void>;
  /** Makes a stand-in fail, or no longer; for so many requests, or until it is switched again. */
  fault(service: string, name: string, times?: number): Promise<void>;
  /** Rows of this database, asked as one who sees all. */
  rows(sql: string): Promise<Record<string, unknown>[]>;
  stop(): Promise<void>;
}

/**
 * Starts everything on a fresh database; needs the addresses ./test sets and the built web app.
 * @param more - what the server is told besides.
 */
export async function startServers(more: Record<string, string> = {}): Promise<Servers> {
  const admin = process.env.PG_ADMIN_URL;
  if (!admin) throw new Error("PG_ADMIN_URL is not set; ./test sets it");
  const template = process.env.DEMO_TEMPLATE;
  if (!template) throw new Error("DEMO_TEMPLATE is not set; the jest project of the journeys sets it");
  const database = `e2e_${randomBytes(6).toString("hex")}`;
  await query(`${admin}/postgres`, `create database ${database} owner mechanon_owner template ${template}`);
  const [port, standinsPort] = [await freePort(), await freePort()];
  const url = `http://127.0.0.1:${port}`;
  const standins = `http://127.0.0.1:${standinsPort}`;
  const MESSENGER_SECRET = randomBytes(24).toString("hex");
  const standinsProcess = await run(
    "standins/src/main.ts",
    { STANDINS_PORT: String(standinsPort), MESSENGER_SECRET },
    "Stand-ins:",
  );
  const env = {
    PORT: String(port),
    DATABASE_URL: `${process.env.PG_SERVER_URL ?? ""}/${database}`,
    DATABASE_OWNER_URL: `${process.env.PG_OWNER_URL ?? ""}/${database}`,
    STANDINS_URL: standins,
    LOG_LEVEL: "error",
    MESSENGER_SECRET,
    // What runs late or is tomorrow depends on when the journeys run.
    TELLS_BY_CLOCK: "false",
    OUTSIDE_TIMEOUT_MS: "15000",
    ...more,
    PHOTOS_FOLDER: join(tmpdir(), `mechanon-photos-${database}`),
  };
  let server: ChildProcess | null = null;
  const servers: Servers = {
    url,
    standins,
    async startServer() {
      server = await run("server/src/main.ts", env, "Mechanon ready");
    },
    async stopServer() {
      if (server) await end(server);
      server = null;
    },
    async killServer() {
      if (server) await end(server, "SIGKILL");
      server = null;
    },
    async fault(service, name, times) {
      const response = await fetch(`${standins}/faults`, {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify({ service, fault: name, times }),
      });
      if (response.status !== 204) throw new Error(`no such fault: ${service} ${name}`);
    },
    rows: (sql) => query(`${admin}/${database}`, sql),
    async stop() {
      await servers.stopServer();
      await end(standinsProcess);
      await rm(env.PHOTOS_FOLDER, { recursive: true, force: true });
      await query(`${admin}/postgres`, `drop database if exists ${database} with (force)`);
    },
  };
  await servers.startServer();
  return servers;
}

function run(script: string, env: Record<string, string>, readyMark: string): Promise<ChildProcess> {
  const child = spawn(process.execPath, ["--import", "tsx", join(ROOT, script)], {
    cwd: ROOT,
    env: { ...process.env, ...env },
    stdio: ["ignore", "pipe", "pipe"],
  });
  let output = "";
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error(`${script} did not get ready:\n${output}`)), START_MS);
    const hear = (chunk: Buffer): void => {
      output += chunk.toString();
      if (!output.includes(readyMark)) return;
      clearTimeout(timer);
      resolve(child);
    };
    child.stdout.on("data", hear);
    child.stderr.on("data", hear);
    child.once("exit", (code) => reject(new Error(`${script} ended with ${code}:\n${output}`)));
  });
}

function end(child: ChildProcess, signal: NodeJS.Signals = "SIGTERM"): Promise<void> {
  if (child.exitCode !== null) return Promise.resolve();
  return new Promise((resolve) => {
    child.once("exit", () => resolve());
    child.kill(signal);
  });
}

async function query(url: string, sql: string): Promise<Record<string, unknown>[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query<Record<string, unknown>>(sql)).rows;
  } finally {
    await client.end();
  }
}

function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once("error", reject);
    probe.listen(0, "127.0.0.1", () => {
      const address = probe.address();
      probe.close(() =>
        typeof address === "object" && address ? resolve(address.port) : reject(new Error("no port")),
      );
    });
  });
}
