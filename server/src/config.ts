import { join } from "node:path";
import { z } from "zod";

const environment = z.object({
  PORT: z.coerce.number().int().min(0).max(65535).default(4300),
  HOST: z.string().default("127.0.0.1"),
  DATABASE_URL: z.string().min(1),
  /** Where a customer's phone reaches the server; links in messages start with it. */
  PUBLIC_URL: z.string().optional(),
  STANDINS_URL: z.string().default("http://127.0.0.1:4301"),
  WEB_DIR: z.string().default(join(__dirname, "..", "..", "app", "dist")),
  VIN_TABLE: z.string().default(join(__dirname, "..", "..", ".cache", "vin", "vin.table")),
  LOG_LEVEL: z.enum(["silent", "error", "warn", "info", "debug"]).default("info"),
  OUTSIDE_TIMEOUT_MS: z.coerce.number().int().positive().default(3000),
  /** How long who sent an order or a charge is left to hear the answer, before the queue asks what became of it. */
  SETTLE_AFTER_MS: z.coerce.number().int().positive().default(20_000),
});

/** Everything the environment decides, complete and typed. */
export interface Config {
  port: number;
  host: string;
  databaseUrl: string;
  publicUrl: string;
  standinsUrl: string;
  webDir: string;
  vinTable: string;
  logLevel: string;
  outsideTimeoutMs: number;
  settleAfterMs: number;
}

/** Reads the environment once, at start. @throws {z.ZodError} naming what does not fit. */
export function readConfig(env: Readonly<Record<string, string | undefined>>): Config {
  const read = environment.parse(env);
  return {
    port: read.PORT,
    host: read.HOST,
    databaseUrl: read.DATABASE_URL,
    publicUrl: read.PUBLIC_URL ?? `http://127.0.0.1:${read.PORT}`,
    standinsUrl: read.STANDINS_URL,
    webDir: read.WEB_DIR,
    vinTable: read.VIN_TABLE,
    logLevel: read.LOG_LEVEL,
    outsideTimeoutMs: read.OUTSIDE_TIMEOUT_MS,
    settleAfterMs: read.SETTLE_AFTER_MS,
  };
}
