import { setTimeout } from "node:timers/promises";
import pg from "pg";
import type { Logger } from "pino";

const RECONNECT_MS = 2_000;

/** One connection of its own to the database that comes back when it is lost; each new one is begun anew. */
export class LastingConnection {
  private client: pg.Client | null = null;
  private stopped = false;
  private isWaiting = false;

  /** @param begin What is done on each new connection: to listen, to take locks. */
  constructor(
    private readonly databaseUrl: string,
    private readonly name: string,
    private readonly log: Logger,
    private readonly begin: (client: pg.Client) => Promise<void>,
    private readonly reconnectMs = RECONNECT_MS,
  ) {}

  async start(): Promise<void> {
    if (this.stopped) return;
    const client = new pg.Client({ connectionString: this.databaseUrl, application_name: this.name });
    client.on("error", (error) => this.log.warn({ err: error, name: this.name }, "lost the database"));
    client.on("end", () => this.reconnect());
    try {
      await client.connect();
      await this.begin(client);
      this.client = client;
    } catch (error) {
      this.log.warn({ err: error, name: this.name }, "cannot reach the database");
      this.reconnect();
    }
  }

  async stop(): Promise<void> {
    this.stopped = true;
    await this.client?.end();
  }

  /** A connection that could not be made tells so twice, by its error and by its end; each is tried again once. */
  private reconnect(): void {
    if (this.stopped || this.isWaiting) return;
    this.client = null;
    this.isWaiting = true;
    void setTimeout(this.reconnectMs, undefined, { ref: false }).then(() => {
      this.isWaiting = false;
      return this.start();
    });
  }
}
