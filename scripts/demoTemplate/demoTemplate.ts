import { spawn } from "node:child_process";
import { randomBytes } from "node:crypto";
import { join } from "node:path";
import pg from "pg";

const ROOT = join(__dirname, "..", "..");

/**
 * A database with the demo in it, which test files copy in place of loading the demo themselves: a real server fills it,
 * and nobody is connected to it afterwards. Needs the addresses ./test sets.
 *
 * @returns Its name.
 */
export async function makeDemoTemplate(): Promise<string> {
  const name = `demo_template_${randomBytes(6).toString("hex")}`;
  await askAsSuperuser(`create database ${name} owner mechanon_owner`);
  const server = spawn(process.execPath, ["--import", "tsx", join(ROOT, "server/src/main.ts")], {
    cwd: ROOT,
    env: {
      ...process.env,
      PORT: "0",
      DATABASE_URL: `${given("PG_SERVER_URL")}/${name}`,
      DATABASE_OWNER_URL: `${given("PG_OWNER_URL")}/${name}`,
      LOG_LEVEL: "error",
    },
    stdio: ["ignore", "pipe", "pipe"],
  });
  let said = "";
  await new Promise<void>((resolve, reject) => {
    const hear = (chunk: Buffer): void => {
      said += chunk.toString();
      if (said.includes("Mechanon ready")) server.kill("SIGTERM");
    };
    server.stdout.on("data", hear);
    server.stderr.on("data", hear);
    server.once("exit", () =>
      said.includes("Mechanon ready") ? resolve() : reject(new Error(`the demo was not loaded:\n${said}`)),
    );
  });
  return name;
}

export function dropDemoTemplate(name: string): Promise<void> {
  return askAsSuperuser(`drop database if exists ${name} with (force)`);
}

function given(name: string): string {
  const url = process.env[name];
  if (!url) throw new Error(`${name} is not set; ./test sets it`);
  return url;
}

async function askAsSuperuser(sql: string): Promise<void> {
  const client = new pg.Client({ connectionString: `${given("PG_ADMIN_URL")}/postgres` });
  await client.connect();
  await client.query(sql);
  await client.end();
}
