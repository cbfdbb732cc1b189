import { request } from "node:http";
import { connect as connectSocket } from "node:net";
import { v7 as uuid } from "uuid";
import type { OwnSession } from "@mechanon/contract";
import { jpegOf } from "../testing/pictures";
import { startTestServer, until, type HttpAnswer, type TestPerson, type TestServer } from "../testing/testServer";

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server?.stop());
beforeEach(() => server.db.query("delete from request_counts"));

const tryIn = (login: string, password: string, headers: Record<string, string> = {}): Promise<HttpAnswer> =>
  server.stranger().post("/api/session", { login, password }, headers);

describe("passwords", () => {
  it("are tried eight times, however many try at once and from wherever", async () => {
    const answers = await Promise.all(
      Array.from({ length: 120 }, (_, index) =>
        tryIn("tomas", index === 60 ? "anchor-22" : `wrong-${index}`, { "X-Forwarded-For": `10.0.${index % 40}.7` }),
      ),
    );
    const statuses = answers.map(({ status }) => status);
    expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(8);
    expect(statuses[60]).toBe(429);
    expect((await tryIn("tomas", "anchor-22")).status).toBe(429);
    // Another name behind the same gateway is not shut out.
    expect((await tryIn("wren", "ledger-5")).status).toBe(200);
  });

  it("let in the device a person signed in on before, whatever others type", async () => {
    const known = await server.signIn("tomas");
    await Promise.all(Array.from({ length: 10 }, () => tryIn("tomas", "wrong")));
    expect((await tryIn("tomas", "anchor-22")).status).toBe(429);
    const device = known.cookie.split("; ").find((cookie) => cookie.startsWith("mechanon_device=")) ?? "";
    expect((await tryIn("tomas", "anchor-22", { Cookie: device })).status).toBe(200);
    // It is known for its own person only, and has no more tries than anybody.
    await Promise.all(Array.from({ length: 8 }, () => tryIn("wren", "wrong")));
    expect((await tryIn("wren", "ledger-5", { Cookie: device })).status).toBe(429);
    for (let wrong = 0; wrong < 8; wrong++) await tryIn("tomas", "wrong", { Cookie: device });
    expect((await tryIn("tomas", "anchor-22", { Cookie: device })).status).toBe(429);
  });

  it("of many unknown names hold up nobody else's answers", async () => {
    const odile = await server.signIn();
    const flood = Promise.all(Array.from({ length: 200 }, (_, index) => tryIn(`nobody-${index}`, "x")));
    // Those who are signed in are answered while most of the flood was turned away unhashed.
    for (let read = 0; read < 5; read++) expect((await odile.get("/api/open-work")).status).toBe(200);
    const statuses = (await flood).map(({ status }) => status);
    expect(statuses.filter((status) => status === 429).length).toBeGreaterThan(150);
    expect(statuses.filter((status) => status === 401).length).toBeGreaterThan(0);
  });
});

describe("sessions", () => {
  it("are shown to their person, and ended by them wherever they are", async () => {
    const phone = await server.signInAs("wren", "ledger-5", {
      "User-Agent": "Mozilla/5.0 (Linux; Android 14) Chrome/130.0 Safari/537.36",
    });
    const desk = await server.signInAs("wren", "ledger-5", {
      "User-Agent": "Mozilla/5.0 (X11; Linux x86_64; rv:131.0) Firefox/131.0",
    });
    const listed = (await desk.get<{ sessions: OwnSession[] }>("/api/sessions")).body.sessions;
    expect(listed.filter(({ isThis }) => isThis)).toMatchObject([{ device: "Firefox on Linux" }]);
    const other = listed.find(({ device }) => device === "Chrome on Android");
    const odile = await server.signIn();
    // Nobody ends another person's.
    await odile.send("DELETE", `/api/sessions/${other?.id}`);
    expect((await phone.get("/api/session")).status).toBe(200);
    expect((await desk.send("DELETE", `/api/sessions/${other?.id}`)).status).toBe(204);
    expect((await phone.get("/api/session")).status).toBe(401);
    expect((await desk.get("/api/session")).status).toBe(200);
  });

  it("give way to the next one on the same device", async () => {
    const first = await server.signIn("wren");
    const second = await server.signInAs("wren", "ledger-5", { Cookie: first.cookie });
    expect((await first.get("/api/session")).status).toBe(401);
    expect((await second.get("/api/session")).status).toBe(200);
  });

  it("take the live stream and the browser's copies with them", async () => {
    const wren = await server.signIn("wren");
    const stream = await fetch(`${server.running.url}/api/events`, { headers: { Cookie: wren.cookie } });
    const reader = stream.body?.getReader();
    await reader?.read();
    const left = await wren.send("DELETE", "/api/session");
    expect(left.headers.get("clear-site-data")).toBe('"cache"');
    expect((await reader?.read())?.done).toBe(true);
    expect((await wren.get("/api/events")).status).toBe(401);
  });

  it("end the stream of one that expires while it listens", async () => {
    const wren = await server.signIn("wren");
    await server.db.query("update directory.sessions set expires_at = now() + interval '1 second'");
    const stream = await fetch(`${server.running.url}/api/events`, { headers: { Cookie: wren.cookie } });
    const reader = stream.body?.getReader();
    let done = false;
    while (!done) done = (await reader?.read())?.done ?? true;
    expect((await wren.get("/api/session")).status).toBe(401);
  });

  it("answer the head of the stream, and of everything else", async () => {
    const odile = await server.signIn();
    for (const path of ["/api/events", "/api/open-work", "/api/business"])
      expect([path, (await odile.send("HEAD", path)).status]).toEqual([path, 200]);
  });

  it("leave no photo in the browser that is shown without asking again", async () => {
    const odile = await server.signIn();
    const id = uuid();
    await odile.send("POST", `/api/photos/${id}`, new Uint8Array(jpegOf()), { "Content-Type": "image/jpeg" });
    const photo = await odile.get(`/api/photos/${id}`);
    expect(photo.headers.get("cache-control")).toBe("private, no-cache");
    const again = await odile.send("GET", `/api/photos/${id}`, undefined, {
      "If-None-Match": photo.headers.get("etag") ?? "",
    });
    expect(again.status).toBe(304);
    const stranger = await server
      .stranger()
      .send("GET", `/api/photos/${id}`, undefined, { "If-None-Match": photo.headers.get("etag") ?? "" });
    expect(stranger.status).toBe(401);
  });
});

describe("bodies", () => {
  it("of strangers are not read: they are refused before the first byte of it", async () => {
    for (const [path, type, bytes] of [
      [`/api/photos/${uuid()}`, "image/jpeg", 8_000_000],
      ["/api/customers", "application/json", 4_000_000],
      [`/api/imports/${uuid()}?name=a.csv`, "text/csv", 40_000_000],
    ] as const)
      expect(await statusBeforeBody("POST", path, type, bytes)).toBe(401);
    expect(await statusBeforeBody("POST", "/api/session", "application/json", 5_000)).toBe(413);
  });

  it("are refused before they are read where they are too large or of another type", async () => {
    const odile = await server.signIn();
    const put = (type: string, bytes: number): Promise<number> =>
      statusBeforeBody("POST", `/api/photos/${uuid()}`, type, bytes, odile.cookie);
    expect(await put("image/jpeg", 16_000_000)).toBe(413);
    expect(await put("text/plain", 9)).toBe(415);
  });

  it("held open by many leave room for others", async () => {
    const odile = await server.signIn();
    const held = Array.from({ length: 40 }, () => holdOpen(`/api/photos/${uuid()}`, "image/jpeg", 8_000_000, odile));
    await until(
      () => Promise.all(held.map(({ status }) => Promise.resolve(status()))),
      (statuses) => statuses.some((status) => status === 503),
    );
    expect((await odile.get("/api/open-work")).status).toBe(200);
    const small = await odile.post(`/api/work-orders/${uuid()}/commands`, {
      commands: [{ id: uuid(), at: new Date().toISOString(), command: { type: "recordOdometer", miles: 1 } }],
    });
    expect(small.status).toBe(200);
    held.forEach(({ end }) => end());
    const jpeg = new Uint8Array(jpegOf());
    const sent = await until(
      () => odile.send("POST", `/api/photos/${uuid()}`, jpeg, { "Content-Type": "image/jpeg" }),
      ({ status }) => status !== 503,
    );
    expect(sent.status).toBe(204);
  });
});

describe("another site", () => {
  const from = (headers: Record<string, string>): Promise<HttpAnswer> =>
    odile.send("POST", `/api/photos/${uuid()}`, new Uint8Array(jpegOf()), { "Content-Type": "image/jpeg", ...headers });
  let odile: TestPerson;
  beforeAll(async () => {
    odile = await server.signIn();
  });
  it.each([
    ["says so", { "Sec-Fetch-Site": "cross-site" }, 403],
    ["is only near", { "Sec-Fetch-Site": "same-site" }, 403],
    ["is named by its origin alone", { Origin: "https://elsewhere.example" }, 403],
    ["hides its origin", { Origin: "null" }, 403],
    ["has the same name on another port", { Origin: "http://127.0.0.1:1" }, 403],
    ["sends a form's text", { "Content-Type": "text/plain", Origin: "https://elsewhere.example" }, 403],
    ["is this one", { "Sec-Fetch-Site": "same-origin" }, 204],
    ["is no browser", {}, 204],
  ])("changes nothing: it %s", async (_name, headers, status) => {
    expect((await from(headers)).status).toBe(status);
  });
  it("is this one by its origin", async () => {
    expect((await from({ Origin: server.running.url })).status).toBe(204);
  });
});

it("is told by the page what may run on it, and that nobody may frame it", async () => {
  const { headers } = await server.stranger().get("/api/health");
  const policy = headers.get("content-security-policy") ?? "";
  const directives = new Map(
    policy.split(";").map((each) => [each.trim().split(" ")[0], each.trim().split(" ").slice(1)]),
  );
  expect(directives.get("frame-ancestors")).toEqual(["'none'"]);
  expect(directives.get("script-src")).toEqual(["'self'", "'wasm-unsafe-eval'"]);
  expect(directives.get("script-src-attr")).toEqual(["'none'"]);
  expect(directives.get("object-src")).toEqual(["'none'"]);
  expect(policy).not.toMatch(/\*|https?:|'unsafe-eval'/);
  expect(directives.get("font-src")).toEqual(["'self'"]);
  expect(headers.get("x-content-type-options")).toBe("nosniff");
  expect(headers.get("referrer-policy")).toBe("no-referrer");
});

/** The answer's status to a request whose headers alone were sent. */
function statusBeforeBody(method: string, path: string, type: string, bytes: number, cookie = ""): Promise<number> {
  return new Promise((resolve, reject) => {
    const { hostname, port } = new URL(server.running.url);
    const asked = request(
      { hostname, port, path, method, headers: { "Content-Type": type, "Content-Length": bytes, Cookie: cookie } },
      (answer) => {
        answer.resume();
        resolve(answer.statusCode ?? 0);
        asked.destroy();
      },
    );
    asked.once("error", reject);
    asked.flushHeaders();
  });
}

/** A sender that sends a little of its body and then nothing. */
function holdOpen(
  path: string,
  type: string,
  bytes: number,
  { cookie }: TestPerson,
): { status: () => number | null; end: () => void } {
  const { hostname, port } = new URL(server.running.url);
  const socket = connectSocket(Number(port), hostname);
  let heard = "";
  socket.on("data", (data) => (heard += data.toString("latin1")));
  socket.on("error", () => undefined);
  socket.write(
    `POST ${path} HTTP/1.1\r\nHost: ${hostname}:${port}\r\nContent-Type: ${type}\r\nContent-Length: ${bytes}\r\nCookie: ${cookie}\r\n\r\n0123456789`,
  );
  return {
    status: () => Number(/^HTTP\/1.1 (\d+)/.exec(heard)?.[1] ?? "") || null,
    end: () => socket.destroy(),
  };
}
