import { setTimeout } from "node:timers/promises";
import type { Response, Router } from "express";
import pg from "pg";
import type { Logger } from "pino";
import { z } from "zod";
import { changeEvent, routes } from "@mechanon/contract";
import { mount, type ScopeOf } from "../http/mount";
import { CHANNEL } from "./notify";

const heard = changeEvent.extend({ businessId: z.string() });
const HEARTBEAT_MS = 25_000;
const RECONNECT_MS = 2_000;

/** Passes changes on to the devices that listen here, whichever server made them. */
export class ChangeListener {
  private readonly devices = new Map<Response, string>();
  private client: pg.Client | null = null;
  private stopped = false;
  private readonly heartbeat = setInterval(
    () => this.devices.forEach((_, res) => res.write(": still here\n\n")),
    HEARTBEAT_MS,
  );

  constructor(
    private readonly databaseUrl: string,
    private readonly log: Logger,
  ) {}

  async start(): Promise<void> {
    if (this.stopped) return;
    const client = new pg.Client({ connectionString: this.databaseUrl, application_name: "mechanon-listener" });
    client.on("notification", ({ payload }) => this.pass(payload ?? ""));
    client.on("error", (error) => this.log.warn({ err: error }, "listener lost the database"));
    client.on("end", () => this.reconnect());
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
      this.client = client;
    } catch (error) {
      this.log.warn({ err: error }, "listener cannot reach the database");
      this.reconnect();
    }
  }

  add(res: Response, businessId: string): void {
    this.devices.set(res, businessId);
    res.on("close", () => this.devices.delete(res));
  }

  async stop(): Promise<void> {
    this.stopped = true;
    clearInterval(this.heartbeat);
    this.devices.forEach((_, res) => res.end());
    await this.client?.end();
  }

  private reconnect(): void {
    if (this.stopped) return;
    this.client = null;
    void setTimeout(RECONNECT_MS, undefined, { ref: false }).then(() => this.start());
  }

  private pass(payload: string): void {
    const parsed = heard.safeParse(JSON.parse(payload));
    if (!parsed.success) return;
    const { businessId, ...change } = parsed.data;
    this.devices.forEach((business, res) => {
      if (business === businessId) res.write(`data: ${JSON.stringify(change)}\n\n`);
    });
  }
}

export function eventRoutes(router: Router, listener: ChangeListener, scopeOf: ScopeOf): void {
  mount(router, routes.events, scopeOf, async ({ scope, res }) => {
    res.writeHead(200, { "Content-Type": "text/event-stream", "Cache-Control": "no-store", "X-Accel-Buffering": "no" });
    res.write(": listening\n\n");
    listener.add(res, scope.businessId);
  });
}
