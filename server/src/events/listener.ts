import type { Response } from "express";
import type { Logger } from "pino";
import { z } from "zod";
import { changeEvent, routes } from "@mechanon/contract";
import { ENDED_CHANNEL } from "../access/sessions";
import { LastingConnection } from "../db/lastingConnection";
import type { Mounting } from "../http/mount";
import type { SessionPerson } from "../scope";
import { CHANNEL } from "./notify";

const heard = changeEvent.extend({ businessId: z.string() });
const HEARTBEAT_MS = 25_000;
/** A timer waits no longer; a stream is never open for as long. */
const LONGEST_TIMER_MS = 2 ** 31 - 1;

type Listening = Pick<SessionPerson, "businessId" | "sessionId" | "sessionEndsAt">;

/** Passes changes on to the devices that listen here, whichever server made them, for as long as they are signed in. */
export class ChangeListener {
  private readonly devices = new Map<Response, Listening>();
  private readonly connection: LastingConnection;
  private readonly heartbeat: ReturnType<typeof setInterval>;

  constructor(databaseUrl: string, log: Logger) {
    this.heartbeat = setInterval(() => this.beat(), HEARTBEAT_MS);
    this.connection = new LastingConnection(databaseUrl, "mechanon-listener", log, async (client) => {
      client.on("notification", ({ channel, payload = "" }) =>
        channel === ENDED_CHANNEL ? this.end(({ sessionId }) => sessionId === payload) : this.pass(payload),
      );
      await client.query(`listen ${CHANNEL}; listen ${ENDED_CHANNEL}`);
    });
  }

  start(): Promise<void> {
    return this.connection.start();
  }

  add(res: Response, who: Listening): void {
    this.devices.set(res, who);
    const left = who.sessionEndsAt.getTime() - Date.now();
    const ending = setTimeout(() => res.end(), Math.min(left, LONGEST_TIMER_MS));
    res.on("close", () => {
      clearTimeout(ending);
      this.devices.delete(res);
    });
  }

  async stop(): Promise<void> {
    clearInterval(this.heartbeat);
    this.end(() => true);
    await this.connection.stop();
  }

  private beat(): void {
    this.devices.forEach((_, res) => res.write(": still here\n\n"));
  }

  private end(whose: (listening: Listening) => boolean): void {
    this.devices.forEach((listening, res) => {
      if (whose(listening)) res.end();
    });
  }

  private pass(payload: string): void {
    const parsed = heard.safeParse(JSON.parse(payload));
    if (!parsed.success) return;
    const { businessId, ...change } = parsed.data;
    this.devices.forEach((listening, res) => {
      if (listening.businessId === businessId) res.write(`data: ${JSON.stringify(change)}\n\n`);
    });
  }
}

export function eventRoutes(mounting: Mounting, listener: ChangeListener): void {
  mounting.route(routes.events, async ({ scope, req, res }) => {
    res.writeHead(200, { "Content-Type": "text/event-stream", "Cache-Control": "no-store", "X-Accel-Buffering": "no" });
    // Whoever asks for the head alone hears no changes.
    if (req.method === "HEAD") return void res.end();
    res.write(": listening\n\n");
    listener.add(res, scope);
  });
}
