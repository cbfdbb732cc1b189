import { spawn, type ChildProcess } from "node:child_process";
import { rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Sequelize } from "sequelize";
import { v7 as uuid } from "uuid";
import type {
  CustomerSheetView,
  Found,
  OpenWorkView,
  WorkOrderChange,
  WorkOrderSummary,
  WorkOrderView,
} from "@mechanon/contract";
import { readConfig, type Config } from "../config";
import { connect } from "../db/connect";
import { start, type Running } from "../start";
import { dropDatabase, makeDemoDatabase, urlsOf } from "./databases";

const ROOT = join(__dirname, "..", "..", "..");

/** What an HTTP answer holds, for tests. */
export interface HttpAnswer<T = unknown> {
  status: number;
  body: T;
  headers: Headers;
}

/** A person with a session. */
export interface TestPerson {
  get<T>(path: string): Promise<HttpAnswer<T>>;
  post<T>(path: string, body: unknown, headers?: Record<string, string>): Promise<HttpAnswer<T>>;
  send<T>(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<HttpAnswer<T>>;
  cookie: string;
}

/** A real server on a real database with the stand-ins beside it. */
export interface TestServer {
  running: Running;
  /** The database as its owner sees it: the rows of every business. */
  db: Sequelize;
  /** A second server on the same database. @param over - what of its configuration is another. */
  startSecond(over?: Partial<Config>): Promise<Running>;
  signIn(login?: string, url?: string): Promise<TestPerson>;
  /** Somebody whose password is not the demo's own for that name. */
  signInAs(login: string, password: string, headers?: Record<string, string>): Promise<TestPerson>;
  stranger(url?: string): TestPerson;
  fault(service: string, fault: string, times?: number): Promise<void>;
  sentMessages(): Promise<{ key: string; to: string; text: string }[]>;
  stopStandins(): Promise<void>;
  stop(): Promise<void>;
}

/** By which tests tell what the message service would. */
export const MESSENGER_SECRET = "the messenger of the tests";

const PASSWORDS: Record<string, string> = { odile: "lantern-7", tomas: "anchor-22", wren: "ledger-5" };

/** Starts a server for one test file; needs the addresses ./test sets. @param over - what of its environment is another. */
export async function startTestServer(over: Record<string, string> = {}): Promise<TestServer> {
  const [database, standins] = await Promise.all([makeDemoDatabase("test"), startStandins()]);
  const config = readConfig({
    PORT: "0",
    ...urlsOf(database),
    STANDINS_URL: standins.url,
    LOG_LEVEL: process.env.TEST_LOG ?? "silent",
    // Long: what answers at all is never late, on a busy machine neither.
    OUTSIDE_TIMEOUT_MS: "15000",
    SETTLE_AFTER_MS: "60000",
    MESSENGER_SECRET,
    TELLS_BY_CLOCK: "false",
    WEB_DIR: "/nonexistent",
    PHOTOS_FOLDER: join(tmpdir(), `mechanon-photos-${database}`),
    ...over,
  });
  const running = await start(config);
  const db = connect(config.databaseOwnerUrl);
  const started = [running];
  const server: TestServer = {
    running,
    db,
    async startSecond(over) {
      const second = await start({ ...config, ...over });
      started.push(second);
      return second;
    },
    signIn: (login = "odile", url = running.url) => signedIn(url, login, PASSWORDS[login] ?? ""),
    signInAs: (login, password, headers) => signedIn(running.url, login, password, headers),
    stranger: (url = running.url) => person(url, ""),
    async fault(service, fault, times) {
      const { status } = await request(
        standins.url,
        "POST",
        "/faults",
        { service, fault, ...(times === undefined ? {} : { times }) },
        {},
      );
      if (status !== 204) throw new Error(`no such fault: ${service} ${fault}`);
    },
    sentMessages: async () =>
      (await request<{ key: string; to: string; text: string }[]>(standins.url, "GET", "/phone.json", undefined, {}))
        .body,
    stopStandins: () => end(standins.child),
    async stop() {
      for (const each of started) await each.stop();
      await end(standins.child);
      await rm(config.photosFolder, { recursive: true, force: true });
      await db.close();
      await dropDatabase(database);
    },
  };
  return server;
}

/** The sheet of the customer found first by what is typed. */
export async function findSheet(who: TestPerson, typed: string): Promise<CustomerSheetView> {
  const { body: found } = await who.get<Found>(`/api/search?q=${encodeURIComponent(typed)}`);
  return (await who.get<CustomerSheetView>(`/api/customers/${found.customers[0]?.customer.id ?? ""}`)).body;
}

/** Everything open, of all kinds of waiting. */
export async function openOrders(who: TestPerson): Promise<WorkOrderSummary[]> {
  const { body } = await who.get<OpenWorkView>("/api/open-work");
  return body.groups.flatMap(({ workOrders }) => workOrders);
}

/** A work order of the demo, by its customer's name. */
export async function findOrder(who: TestPerson, customerName: string): Promise<WorkOrderSummary> {
  const sheet = await findSheet(who, customerName);
  const order = [...sheet.openWork, ...sheet.pastWork][0];
  if (!order) throw new Error(`the demo has no work order for ${customerName}`);
  return order;
}

export interface Outcomes {
  outcomes: { id: string; outcome: string; refusal: string | null; conflicts: string[] }[];
  change: WorkOrderChange | null;
  /** The whole work order, asked for afterwards. */
  workOrder: WorkOrderView;
}

/** Sends one command to a work order, and looks at what came of it. */
export async function sendCommand(
  who: TestPerson,
  workOrderId: string,
  command: object,
  id: string = uuid(),
): Promise<HttpAnswer<Outcomes>> {
  const answer = await who.post<Outcomes>(`/api/work-orders/${workOrderId}/commands`, {
    commands: [{ id, at: new Date().toISOString(), command }],
  });
  if (answer.status !== 200) return answer;
  const { body: workOrder } = await who.get<WorkOrderView>(`/api/work-orders/${workOrderId}`);
  return { ...answer, body: { ...answer.body, workOrder } };
}

const ASKED_AGAIN_MS = 25;

/** Waits until something holds, asking again and again. @param tenths - of a second it may take, beside the asking. */
export async function until<T>(ask: () => Promise<T>, holds: (value: T) => boolean, tenths = 100): Promise<T> {
  for (let attempt = 0; attempt < (tenths * 100) / ASKED_AGAIN_MS; attempt++) {
    const value = await ask();
    if (holds(value)) return value;
    await new Promise((resolve) => setTimeout(resolve, ASKED_AGAIN_MS));
  }
  throw new Error("it never came to hold");
}

async function signedIn(
  url: string,
  login: string,
  password: string,
  headers: Record<string, string> = {},
): Promise<TestPerson> {
  const answer = await request(url, "POST", "/api/session", { login, password }, headers);
  if (answer.status !== 200) throw new Error(`sign-in failed with ${answer.status}`);
  const cookies = answer.headers.getSetCookie().map((cookie) => cookie.split(";")[0] ?? "");
  return person(url, cookies.join("; "));
}

function person(url: string, cookie: string): TestPerson {
  const send = <T>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<HttpAnswer<T>> =>
    request<T>(url, method, path, body, { ...(cookie ? { Cookie: cookie } : {}), ...headers });
  return {
    cookie,
    send,
    get: (path) => send("GET", path),
    post: (path, body, headers) => send("POST", path, body, headers),
  };
}

async function request<T>(
  url: string,
  method: string,
  path: string,
  body: unknown,
  headers: Record<string, string>,
): Promise<HttpAnswer<T>> {
  const isRaw = typeof body === "string" || body instanceof Uint8Array;
  const response = await fetch(url + path, {
    method,
    headers: { ...(body === undefined || isRaw ? {} : { "Content-Type": "application/json" }), ...headers },
    ...(body === undefined ? {} : { body: isRaw ? (body as BodyInit) : JSON.stringify(body) }),
  });
  const text = await response.text();
  const isJson = (response.headers.get("content-type") ?? "").includes("json");
  return {
    status: response.status,
    body: (isJson && text !== "" ? JSON.parse(text) : text) as T,
    headers: response.headers,
  };
}

async function startStandins(): Promise<{ url: string; child: ChildProcess }> {
  const child = spawn(process.execPath, ["--import", "tsx", join(ROOT, "standins/src/main.ts")], {
    cwd: ROOT,
    env: { ...process.env, STANDINS_PORT: "0" },
    stdio: ["ignore", "pipe", "inherit"],
  });
  const url = await new Promise<string>((resolve, reject) => {
    child.stdout?.on("data", (chunk: Buffer) => {
      const match = /http:\/\/\S+/.exec(chunk.toString());
      if (match) resolve(match[0]);
    });
    child.once("exit", () => reject(new Error("the stand-ins did not start")));
  });
  return { url, child };
}

function end(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
  return new Promise((resolve) => {
    child.once("exit", () => resolve());
    child.kill("SIGKILL");
  });
}
