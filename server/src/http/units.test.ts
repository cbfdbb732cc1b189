import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { ConnectionError, DatabaseError, UniqueConstraintError } from "sequelize";
import { z } from "zod";
import { receiptPdf } from "../payments/receiptPdf";
import { hashPassword, verifyPassword } from "../access/passwords";
import { readConfig } from "../config";
import { OutsideError, OutsideHttp } from "../outside/http";
import { VEHICLE_CONSTRAINTS } from "../vehicles/constraints";
import { AppError } from "../errors/appError";
import { problemHandler } from "./problems";
import pino from "pino";
import type { ReceiptView } from "@mechanon/contract";

describe("passwords", () => {
  it("are salted: the same one is never kept the same", async () => {
    const [a, b] = await Promise.all([hashPassword("lantern-7"), hashPassword("lantern-7")]);
    expect(a).not.toBe(b);
    expect(a).not.toContain("lantern");
    expect([await verifyPassword("lantern-7", a), await verifyPassword("lantern-8", a)]).toEqual([true, false]);
  });
  it("are the same however their letters were composed", async () => {
    expect(await verifyPassword("cafe\u0301", await hashPassword("café"))).toBe(true);
  });
  it.each(["", "plain", "scrypt$onlysalt", "md5$a$b"])("do not fit %p", async (hash) => {
    expect(await verifyPassword("x", hash)).toBe(false);
  });
});

describe("the environment", () => {
  const least = { DATABASE_URL: "postgres://x", DATABASE_OWNER_URL: "postgres://y" };
  it("is complete with what is left out", () => {
    expect(readConfig(least)).toMatchObject({ port: 4300, host: "127.0.0.1", publicUrl: "http://127.0.0.1:4300" });
  });
  it("keeps a zero that was meant", () => {
    expect(readConfig({ ...least, PORT: "0" }).port).toBe(0);
  });
  it.each([
    ["no database", {}],
    ["a port that is none", { ...least, PORT: "seventy" }],
    ["a port beyond all", { ...least, PORT: "70000" }],
    ["no such log level", { ...least, LOG_LEVEL: "loud" }],
  ])("is refused: %s", (_name, env) => {
    expect(() => readConfig(env)).toThrow(z.ZodError);
  });
});

describe("errors on the wire", () => {
  const answer = (error: unknown): { status: number; body: { code: string; detail: string } } => {
    let status = 0;
    let body = "";
    const res = {
      headersSent: false,
      status(code: number) {
        status = code;
        return res;
      },
      type: () => res,
      set: () => res,
      send(text: string) {
        body = text;
        return res;
      },
    };
    const handle = problemHandler(pino({ level: "silent" }), VEHICLE_CONSTRAINTS);
    void handle(error, { path: "/x" } as never, res as never, () => undefined);
    return { status, body: JSON.parse(body) as { code: string; detail: string } };
  };
  const constraint = (name: string): UniqueConstraintError =>
    new UniqueConstraintError({ parent: Object.assign(new Error("x"), { sql: "", constraint: name }) });

  it.each<[string, unknown, number, string]>([
    ["ours", new AppError("visit/not-found", "gone"), 404, "visit/not-found"],
    ["a body that does not fit", z.object({ a: z.string() }).safeParse({}).error, 422, "request/invalid"],
    ["a VIN twice", constraint("vehicles_vin"), 409, "vehicle/vin-taken"],
    ["a plate twice", constraint("vehicles_plate"), 409, "vehicle/plate-taken"],
    ["no database", new ConnectionError(new Error("x")), 503, "database/unreachable"],
    [
      "a connection that broke off",
      new DatabaseError(Object.assign(new Error("Connection terminated unexpectedly"), { sql: "" })),
      503,
      "database/unreachable",
    ],
    [
      "two in each other's way",
      new DatabaseError(Object.assign(new Error("deadlock"), { sql: "", code: "40P01" })),
      503,
      "server/busy",
    ],
    ["no JSON", { status: 400, type: "entity.parse.failed" }, 400, "request/unreadable"],
    ["too much", { status: 413 }, 413, "request/too-large"],
    ["another encoding", { status: 415 }, 415, "request/unsupported-type"],
    ["a fault of ours", new TypeError("secret inside"), 500, "server/failed"],
    ["something thrown that is no error", "text", 500, "server/failed"],
  ])("%s", (_name, error, status, code) => {
    const { status: sent, body } = answer(error);
    expect([sent, body.code]).toEqual([status, code]);
    expect(JSON.stringify(body)).not.toContain("secret");
  });
});

describe("calls to the outside", () => {
  let server: Server;
  let url: string;
  let calls: { key: string | undefined }[];
  let respond: (attempt: number) => { status: number; body: string; delayMs?: number };
  const answers = { 200: z.object({ ok: z.boolean() }) };

  beforeAll(async () => {
    server = createServer((req, res) => {
      calls.push({ key: req.headers["idempotency-key"] as string | undefined });
      const { status, body, delayMs = 0 } = respond(calls.length);
      setTimeout(() => res.writeHead(status, { "Content-Type": "application/json" }).end(body), delayMs);
    });
    await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
    url = `http://127.0.0.1:${(server.address() as AddressInfo).port}/thing`;
  });
  afterAll(() => new Promise((resolve) => server.close(resolve)));
  beforeEach(() => {
    calls = [];
  });
  const http = new OutsideHttp(200);

  it("are made again after a failure, with the same key", async () => {
    respond = (attempt) => (attempt < 3 ? { status: 503, body: "{}" } : { status: 200, body: '{"ok":true}' });
    expect(await http.call({ url, method: "POST", key: "k", body: {}, answers })).toEqual({ ok: true });
    expect(calls).toEqual([{ key: "k" }, { key: "k" }, { key: "k" }]);
  });
  it.each([
    ["refused all the time", { status: 503, body: "{}" }, 3],
    ["answered with something else", { status: 200, body: '{"no":1}' }, 3],
    ["answered with no JSON", { status: 200, body: "<html>" }, 3],
  ])("give up when %s", async (_name, reply, times) => {
    respond = () => reply;
    await expect(http.call({ url, method: "GET", answers })).rejects.toThrow(OutsideError);
    expect(calls).toHaveLength(times);
  });
  it("do not wait for ever", async () => {
    respond = () => ({ status: 200, body: '{"ok":true}', delayMs: 5_000 });
    await expect(new OutsideHttp(100, 1).call({ url, method: "GET", answers })).rejects.toThrow(OutsideError);
    server.closeAllConnections();
  });
  it("tell when nobody is there", async () => {
    await expect(http.call({ url: "http://127.0.0.1:9/none", method: "GET", answers })).rejects.toThrow(OutsideError);
  });
});

describe("the receipt on paper", () => {
  const line = { description: "Replace front pads", quantity: "1.1 h", netCents: 15180 };
  const receipt: ReceiptView = {
    number: 1001,
    business: {
      name: "Larkhaven Driveway Garage",
      phone: "+13605550100",
      street: "4 Ropewalk",
      timeZone: "America/Los_Angeles",
    },
    customerName: "Maren Oyelaran",
    vehicleName: "2019 Honda Accord",
    plate: "LRK1204",
    language: "en" as const,
    unsafe: ["Not safe: Front brake pads"],
    concerns: ["Still open: “Brakes grind”"],
    odometerMiles: 88120,
    jobs: [{ title: "Front brake pads", totalCents: 15180, lines: [line] }],
    suppliesCents: 607,
    taxes: [{ id: "state", cents: 1000 }],
    totalCents: 16787,
    paidCents: 16787,
    dueCents: 0,
    payments: [
      { method: "cash", at: "2026-11-23T18:00:00.000Z", amountCents: 16787, tenderedCents: 18000, card: null },
    ],
    notDone: [{ title: "Wiper blades", answer: "later" }],
    signature: { name: "Maren Oyelaran", strokes: [[0, 0, 500, 500, 1000, 0], [1]], at: "2026-11-23T17:00:00.000Z" },
  };
  const pages = (pdf: Buffer): number => pdf.toString("latin1").match(/\/Type \/Page\b/g)?.length ?? 0;

  it("is one page, named for its number", async () => {
    const pdf = await receiptPdf(receipt);
    expect(pdf.subarray(0, 5).toString()).toBe("%PDF-");
    expect(pages(pdf)).toBe(1);
  });
  it("goes on to further pages, and takes names of any script", async () => {
    const jobs = Array.from({ length: 40 }, (_, index) => ({
      title: `Job ${index}`,
      totalCents: 1,
      lines: [line, line],
    }));
    expect(pages(await receiptPdf({ ...receipt, jobs, customerName: "نور 🚗 ünïcode" }))).toBeGreaterThan(2);
  });
  it("takes a card, nothing at all, and no signature", async () => {
    const card = {
      method: "card" as const,
      at: "2026-11-23T18:00:00.000Z",
      amountCents: 1,
      tenderedCents: null,
      card: { lastFour: "4407", authorization: "A1" },
    };
    for (const payments of [[card], []])
      expect(pages(await receiptPdf({ ...receipt, payments, signature: null, jobs: [] }))).toBe(1);
  });
});
