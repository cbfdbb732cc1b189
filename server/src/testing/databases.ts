import { randomBytes } from "node:crypto";
import pg from "pg";

/** An address that ./test sets. @param name - of the environment. */
function given(name: string): string {
  const url = process.env[name];
  if (!url) throw new Error(`${name} is not set; ./test sets it`);
  return url;
}

/** Makes an empty database that the owner of all tables owns. @returns Its name. */
export function makeDatabase(kind: string): Promise<string> {
  return copyOf("template1", kind);
}

/** Makes a database with the demo in it. @returns Its name. @see scripts/demoTemplate */
export function makeDemoDatabase(kind: string): Promise<string> {
  return copyOf(given("DEMO_TEMPLATE"), kind);
}

async function copyOf(template: string, kind: string): Promise<string> {
  const database = `${kind}_${randomBytes(6).toString("hex")}`;
  await ask(`create database ${database} owner mechanon_owner template ${template}`);
  return database;
}

export function dropDatabase(database: string): Promise<void> {
  return ask(`drop database if exists ${database} with (force)`);
}

/** Addresses of a database, as a server's environment names them: as the server asks it, and as its owner. */
export function urlsOf(database: string): { DATABASE_URL: string; DATABASE_OWNER_URL: string } {
  return {
    DATABASE_URL: `${given("PG_SERVER_URL")}/${database}`,
    DATABASE_OWNER_URL: `${given("PG_OWNER_URL")}/${database}`,
  };
}

/** As the superuser, who makes databases and does nothing else. */
async function ask(sql: string): Promise<void> {
  const client = new pg.Client({ connectionString: `${given("PG_ADMIN_URL")}/postgres` });
  await client.connect();
  await client.query(sql);
  await client.end();
}
