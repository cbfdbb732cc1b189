import { join } from "node:path";
import { z } from "zod";

const environment = z.object({
  PORT: z.coerce.number().int().min(0).max(65535).default(4300),
  HOST: z.string().default("127.0.0.1"),
  /** As whom the server asks: neither superuser nor owner of the tables. */
  DATABASE_URL: z.string().min(1),
  /** Who owns the tables: brings them forward, and holds the queue. */
  DATABASE_OWNER_URL: z.string().min(1),
  /** Where a customer's phone reaches the server; links in messages start with it. */
  PUBLIC_URL: z.string().optional(),
  STANDINS_URL: z.string().default("http://127.0.0.1:4301"),
  /** A routing server, asked for drives in place of the roads that ship with the app. */
  ROUTING_URL: z.url().optional(),
  WEB_DIR: z.string().default(join(__dirname, "..", "..", "app", "dist")),
  VIN_TABLE: z.string().default(join(__dirname, "..", "..", ".cache", "vin", "vin.table")),
  /** Photos are files of this folder, or objects of a bucket where one is named. */
  PHOTOS_FOLDER: z.string().default(join(process.env.MECHANON_HOME ?? ".mechanon", "photos")),
  PHOTOS_S3_BUCKET: z.string().min(1).optional(),
  PHOTOS_S3_ENDPOINT: z.url().optional(),
  PHOTOS_S3_REGION: z.string().default("us-east-1"),
  LOG_LEVEL: z.enum(["silent", "error", "warn", "info", "debug"]).default("info"),
  OUTSIDE_TIMEOUT_MS: z.coerce.number().int().positive().default(3000),
  /** By which the message service proves who it is when it tells of replies; without one nothing is taken from it. */
  MESSENGER_SECRET: z.string().min(16).optional(),
  /** Whether the clock tells customers by itself; tests tell the time themselves. */
  TELLS_BY_CLOCK: z.stringbool().default(true),
  /** How long who sent an order or a charge is left to hear the answer, before the queue asks what became of it. */
  SETTLE_AFTER_MS: z.coerce.number().int().positive().default(20_000),
});

/** The environment as it is read: complete and typed, by the names the program uses. */
const settled = environment.transform((read) => ({
  port: read.PORT,
  host: read.HOST,
  databaseUrl: read.DATABASE_URL,
  databaseOwnerUrl: read.DATABASE_OWNER_URL,
  publicUrl: read.PUBLIC_URL ?? `http://127.0.0.1:${read.PORT}`,
  standinsUrl: read.STANDINS_URL,
  /** null: none. */
  routingUrl: read.ROUTING_URL?.replace(/\/+$/, "") ?? null,
  webDir: read.WEB_DIR,
  vinTable: read.VIN_TABLE,
  photosFolder: read.PHOTOS_FOLDER,
  /** null: photos are files. */
  photosS3:
    read.PHOTOS_S3_BUCKET === undefined
      ? null
      : { bucket: read.PHOTOS_S3_BUCKET, endpoint: read.PHOTOS_S3_ENDPOINT ?? null, region: read.PHOTOS_S3_REGION },
  logLevel: read.LOG_LEVEL,
  outsideTimeoutMs: read.OUTSIDE_TIMEOUT_MS,
  tellsByClock: read.TELLS_BY_CLOCK,
  messengerSecret: read.MESSENGER_SECRET ?? null,
  settleAfterMs: read.SETTLE_AFTER_MS,
}));
export type Config = z.output<typeof settled>;

/** Reads the environment once, at start. @throws {z.ZodError} naming what does not fit. */
export function readConfig(env: Readonly<Record<string, string | undefined>>): Config {
  return settled.parse(env);
}
