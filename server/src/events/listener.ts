import type { Response, Router } from "express";
import type { Logger } from "pino";
import { z } from "zod";
import { changeEvent, routes } from "@mechanon/contract";
import { LastingConnection } from "../db/lastingConnection";
import { mount, type ScopeOf } from "../http/mount";
import { CHANNEL } from "./notify";

const heard = changeEvent.extend({ businessId: z.string() });
const HEARTBEAT_MS = 25_000;

/** Passes changes on to the devices that listen here, whichever server made them. */
export class ChangeListener {
  private readonly devices = new Map<Response, string>();
  private readonly connection: LastingConnection;
  private readonly heartbeat = setInterval(
    () => this.devices.forEach((_, res) => res.write(": still here\n\n")),
    HEARTBEAT_MS,
  );

  constructor(databaseUrl: string, log: Logger) {
    this.connection = new LastingConnection(databaseUrl, "mechanon-listener", log, async (client) => {
      client.on("notification", ({ payload }) => this.pass(payload ?? ""));
      await client.query(`listen ${CHANNEL}`);
    });
  }

  start(): Promise<void> {
    return this.connection.start();
  }

  add(res: Response, businessId: string): void {
    this.devices.set(res, businessId);
    res.on("close", () => this.devices.delete(res));
  }

  async stop(): Promise<void> {
    clearInterval(this.heartbeat);
    this.devices.forEach((_, res) => res.end());
    await this.connection.stop();
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
